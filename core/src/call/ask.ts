import { findByKeypad, lettersSpelled, spokenName, type Person } from '../directory';
import type { Key } from '../line';
import { understand } from '../speech';
import type { PlayItem } from './effect';
import { idOf, readDigits, readFinished } from './extension';
import { planOfDialled } from './group';
import { callLimits } from './limits';
import type { Dialable } from './ready';
import { ring, whyNotPerson } from './ringing';
import { note, play, sayThen, setPhase, startTimer, stopPlaying, stopTimer, type Run } from './run';
import type { Ask, AskSpeaking, AskWaiting, Next, RingPlan } from './state';
import { lineItems, phrases, namedItems } from './words';

/** Asks the caller for a name, an extension or a choice; keys count while it is said. */
export function ask(run: Run, asked: Ask): void {
  setPhase(run, { type: 'askSpeaking', playId: play(run, askItems(run, asked)), ask: asked });
}

function askItems(run: Run, asked: Ask): readonly PlayItem[] {
  const said = phrases(run);
  if (asked.what === 'extension') return lineItems(run, said.dialExtension);
  if (asked.what === 'name') return lineItems(run, said.spellName(asked.by));
  const shown = choicesOf(run, asked);
  const isMore = asked.first + shown.length < asked.matches.length;
  return [
    ...shown.flatMap((person, index) => {
      const name = spokenName(person);
      return namedItems(run, said.choice(name, String(index + 1)), name);
    }),
    ...(isMore ? lineItems(run, said.moreChoices('9')) : []),
  ];
}

function choicesOf(run: Run, { matches, first }: Extract<Ask, { what: 'choice' }>): readonly Person[] {
  const shown = matches.slice(first, first + callLimits.choicesAtATime);
  return shown.flatMap((id) => run.ready.people.get(id) ?? []);
}

/** The question was said; now the caller has a while to begin. */
export function waitForAnswer(run: Run, asked: Ask, digits = ''): void {
  const ms = digits === '' ? callLimits.firstDigitWithinMs : callLimits.nextDigitWithinMs;
  setPhase(run, { type: 'askWaiting', timerId: startTimer(run, ms), ask: asked, digits });
}

/** The caller pressed a key; * gives up, # finishes. */
export function takeAskKey(run: Run, phase: AskSpeaking | AskWaiting, key: Key): Next | undefined {
  stopAsking(run, phase);
  run.state.turnsWithoutKey = 0;
  const digits = phase.type === 'askWaiting' ? phase.digits : '';
  note(run, { type: 'key', key, use: 'digit' });
  if (key === '*') return goOnAfter(phase.ask);
  if (key === '#') return finishAsk(run, phase.ask, digits);
  return takeAskDigit(run, phase.ask, digits + key);
}

function takeAskDigit(run: Run, asked: Ask, digits: string): Next | undefined {
  const isDone =
    asked.what === 'choice' ||
    (asked.what === 'name' ? digits.length >= lettersSpelled : readDigits(run.ready, digits).type !== 'more');
  if (isDone) return finishAsk(run, asked, digits);
  waitForAnswer(run, asked, digits);
  return undefined;
}

/** The caller said a name. */
export function takeAskWords(run: Run, phase: AskSpeaking | AskWaiting, words: string): Next | undefined {
  stopAsking(run, phase);
  run.state.turnsWithoutKey = 0;
  const people = run.script.people.filter(({ inDirectory }) => inDirectory);
  const found = understand(
    words,
    people.map((person) => ({ names: [person.name, person.saidAs], value: person })),
  );
  note(run, { type: 'spoke', words, understood: found.length > 0 });
  return takeMatches(run, phase.ask, found);
}

/** Nothing more was pressed for a while: what there is stands. */
export function passAsk(run: Run, { ask: asked, digits }: AskWaiting): Next | undefined {
  return digits === '' ? askAgain(run, asked, null) : finishAsk(run, asked, digits);
}

function finishAsk(run: Run, asked: Ask, digits: string): Next | undefined {
  switch (asked.what) {
    case 'extension': {
      const found = readFinished(run.ready, digits);
      note(run, { type: 'dialledExtension', digits, to: found ? idOf(found) : null });
      return found ? reachFound(run, asked, found) : askAgain(run, asked, phrases(run).noSuchExtension);
    }
    case 'name': {
      const found = findByKeypad(run.script.people, digits, asked.by);
      note(run, { type: 'spelled', digits, matches: found.map(({ id }) => id) });
      return takeMatches(run, asked, found);
    }
    case 'choice': {
      const shown = choicesOf(run, asked);
      const next = asked.first + shown.length;
      if (digits === '9' && next < asked.matches.length) return { type: 'ask', ask: { ...asked, first: next } };
      const chosen = shown[Number(digits) - 1];
      return chosen ? ringFound(run, asked, chosen) : askAgain(run, asked, null);
    }
  }
}

function takeMatches(run: Run, asked: Ask, found: readonly Person[]): Next | undefined {
  const [first, ...others] = found;
  if (!first) return askAgain(run, asked, phrases(run).nobodyFound);
  if (others.length === 0) return ringFound(run, asked, first);
  const { seconds, place } = asked;
  const by = asked.what === 'extension' ? 'eitherName' : asked.by;
  const matches = found.map(({ id }) => id);
  return { type: 'ask', ask: { what: 'choice', by, matches, first: 0, asked: 0, seconds, place } };
}

/** Says what was wrong and asks once more; after the last time the path goes on. */
function askAgain(run: Run, asked: Ask, says: string | null): Next | undefined {
  const times = asked.asked + 1;
  const next: Next = times < callLimits.mostAsks ? { type: 'ask', ask: { ...asked, asked: times } } : goOnAfter(asked);
  if (says === null) return next;
  sayThen(run, lineItems(run, says), next);
  return undefined;
}

function reachFound(run: Run, asked: Ask, found: Dialable): Next | undefined {
  if (found.type === 'person') return ringFound(run, asked, found.person);
  if (found.type === 'group') return { type: 'ringGroup', ring: planOfDialled(found.group, asked.place) };
  return { type: 'queue', queueId: found.queue.id, place: asked.place };
}

function ringFound(run: Run, asked: Ask, person: Person): Next | undefined {
  const target = { type: 'person', personId: person.id } as const;
  const why = whyNotPerson(run, person);
  if (why) {
    note(run, { type: 'notAnswered', target, why });
    return goOnAfter(asked);
  }
  const { seconds } = asked;
  const plan: RingPlan = {
    target,
    seconds,
    accept: false,
    hear: { type: 'ringback' },
    unanswered: goOnAfter(asked),
  };
  // Who chose from a list has heard the name already.
  if (asked.what !== 'name') ring(run, plan);
  else sayThen(run, namedItems(run, `${spokenName(person)}.`, spokenName(person)), { type: 'ring', ring: plan });
  return undefined;
}

function goOnAfter({ place }: Ask): Next {
  return { type: 'path', place };
}

function stopAsking(run: Run, phase: AskSpeaking | AskWaiting): void {
  if (phase.type === 'askSpeaking') stopPlaying(run, phase.playId);
  else stopTimer(run, phase.timerId);
}
