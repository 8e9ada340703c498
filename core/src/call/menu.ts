import { boxOf, personDefaults, spokenName, type Group, type PersonId } from '../directory';
import { defaultRingSeconds, isKey, type Key, type Menu, type SheetId, type Slot } from '../line';
import { understand } from '../speech';
import type { PlayItem } from './effect';
import { endCall } from './end';
import { idOf, readDigits, readFinished } from './extension';
import { planOfDialled } from './group';
import { greetForMessage } from './message';
import { stepsAt, type Dialable } from './ready';
import { ring, whyNotPerson } from './ringing';
import { lineOf, note, play, sayThen, setPhase, startTimer, stopPlaying, stopTimer, type Run } from './run';
import type { GroupPlan, MenuDialling, MenuSpeaking, MenuWaiting, Next, Tries } from './state';
import { partItems, phrases, sheetItems, namedItems } from './words';

type InMenu = MenuSpeaking | MenuWaiting | MenuDialling;

/** Says a menu; keys count meanwhile if the menu allows it. */
export function sayMenu(run: Run, sheetId: SheetId, tries: Tries): void {
  sayInMenu(run, sheetId, tries, sheetItems(run, sheetId), 'key');
}

/** The menu was said, or the words before it: what comes then. */
export function goOnInMenu(run: Run, { sheetId, tries, then }: Pick<MenuSpeaking, 'sheetId' | 'tries' | 'then'>): void {
  if (then === 'menu') sayMenu(run, sheetId, tries);
  else waitForKey(run, { sheetId, tries });
}

function sayInMenu(
  run: Run,
  sheetId: SheetId,
  tries: Tries,
  items: readonly PlayItem[],
  then: MenuSpeaking['then'],
): void {
  if (items.length === 0) goOnInMenu(run, { sheetId, tries, then });
  else setPhase(run, { type: 'menuSpeaking', sheetId, tries, then, playId: play(run, items) });
}

function waitForKey(run: Run, { sheetId, tries }: Pick<MenuSpeaking, 'sheetId' | 'tries'>): void {
  const menu = menuOf(run, sheetId);
  if (!menu) return endCall(run, 'pathRanOut');
  setPhase(run, { type: 'menuWaiting', sheetId, tries, timerId: startTimer(run, menu.waitSeconds * 1000) });
}

/** The caller pressed a key in a menu; what comes next is returned when the menu itself does not go on. */
export function takeKey(run: Run, phase: InMenu, key: Key): Next | undefined {
  const menu = menuOf(run, phase.sheetId);
  if (!menu) return { type: 'end', reason: 'pathRanOut' };
  if (phase.type === 'menuSpeaking' && !menu.keysDuringGreeting) {
    note(run, { type: 'key', key, use: 'ignored' });
    return undefined;
  }
  stopMenu(run, phase);
  run.state.turnsWithoutKey = 0;
  if (phase.type === 'menuDialling') return takeDigit(run, menu, phase, key);
  if (menu.extensions && run.ready.beginnings.has(key)) return waitForDigit(run, menu, phase.tries, key);
  return takeOption(run, menu, phase.tries, key);
}

/** The caller said something; where the menu does not listen, it changes nothing. */
export function takeWords(run: Run, phase: MenuSpeaking | MenuWaiting, words: string): Next | undefined {
  const menu = menuOf(run, phase.sheetId);
  if (!menu?.speech) return undefined;
  const options = menu.options.map(({ key, label }) => ({ names: [label], value: key as string }));
  const people = run.script.people
    .filter(({ inDirectory }) => inDirectory)
    .map(({ name, saidAs, id }) => ({ names: [name, saidAs], value: id as string }));
  const [understood, ...others] = understand(words, [...options, ...people]);
  const isClear = understood !== undefined && others.length === 0;
  stopMenu(run, phase);
  run.state.turnsWithoutKey = 0;
  note(run, { type: 'spoke', words, understood: isClear });
  if (!isClear) return failAt(run, menu, { ...phase.tries, wrongKeys: phase.tries.wrongKeys + 1 }, 'wrongKey');
  if (isKey(understood)) return optionPath(menu, understood);
  const person = run.ready.people.get(understood);
  return person && ringDialled(run, menu.id, { type: 'person', person });
}

/** The wait for a key or a further digit is over. */
export function passSilently(run: Run, phase: MenuWaiting | MenuDialling): Next | undefined {
  const { sheetId, tries } = phase;
  const menu = menuOf(run, sheetId);
  if (!menu) return { type: 'end', reason: 'pathRanOut' };
  if (phase.type === 'menuDialling') return finishDialling(run, menu, tries, phase.digits);
  const silentRounds = tries.silentRounds + 1;
  note(run, { type: 'silence', sheetId, round: silentRounds });
  return failAt(run, menu, { ...tries, silentRounds }, 'silence');
}

/** The person of an extension dialled in a menu did not answer: a message in their box, or the menu again. */
export function afterUnanswered(run: Run, personId: PersonId, sheetId: SheetId | null): Next | undefined {
  const box = run.ready.boxByOwner.get(personId) ?? boxOf(run.script.boxes, personId);
  if (box) {
    greetForMessage(run, box, { beep: null, tell: null });
    return undefined;
  }
  const person = run.ready.people.get(personId);
  const name = spokenName(person ?? { name: '', saidAs: personDefaults.saidAs });
  const next: Next = sheetId ? { type: 'enter', sheetId } : { type: 'end', reason: 'pathRanOut' };
  sayThen(run, namedItems(run, phrases(run).noAnswer(name), name), next);
  return undefined;
}

function stopMenu(run: Run, phase: InMenu): void {
  if (phase.type === 'menuSpeaking') stopPlaying(run, phase.playId);
  else stopTimer(run, phase.timerId);
}

function takeOption(run: Run, menu: Menu, tries: Tries, key: Key): Next | undefined {
  const isKnown = menu.options.some((option) => option.key === key);
  note(run, { type: 'key', key, use: isKnown ? 'option' : 'wrong' });
  if (isKnown) return optionPath(menu, key);
  return failAt(run, menu, { ...tries, wrongKeys: tries.wrongKeys + 1 }, 'wrongKey');
}

function optionPath(menu: Menu, key: Key): Next {
  return { type: 'path', place: { slot: { type: 'key', sheetId: menu.id, key }, stepIndex: 0, then: null } };
}

function waitForDigit(run: Run, menu: Menu, tries: Tries, digits: string): undefined {
  note(run, { type: 'key', key: digits.slice(-1) as Key, use: 'digit' });
  const timerId = startTimer(run, (menu.extensions?.waitSeconds ?? 0) * 1000);
  setPhase(run, { type: 'menuDialling', sheetId: menu.id, tries, digits, timerId });
}

function takeDigit(run: Run, menu: Menu, { tries, digits }: MenuDialling, key: Key): Next | undefined {
  if (key === '#' || key === '*') {
    note(run, { type: 'key', key, use: 'digit' });
    return finishDialling(run, menu, tries, digits);
  }
  const dialled = digits + key;
  const meant = readDigits(run.ready, dialled);
  if (meant.type === 'more') return waitForDigit(run, menu, tries, dialled);
  note(run, { type: 'key', key, use: 'digit' });
  return finishDialling(run, menu, tries, dialled);
}

/** The digits stand: a single one may be an option, several are an extension. */
function finishDialling(run: Run, menu: Menu, tries: Tries, digits: string): Next | undefined {
  if (digits.length === 1 && isKey(digits)) return takeOption(run, menu, tries, digits);
  const found = readFinished(run.ready, digits);
  note(run, { type: 'dialledExtension', digits, to: found ? idOf(found) : null });
  if (found) return ringDialled(run, menu.id, found);
  return failAt(run, menu, { ...tries, wrongKeys: tries.wrongKeys + 1 }, 'wrongKey');
}

function ringDialled(run: Run, sheetId: SheetId, dialled: Dialable): Next | undefined {
  if (dialled.type === 'queue') return { type: 'queue', queueId: dialled.queue.id, place: null };
  if (dialled.type === 'group') return { type: 'ringGroup', ring: dialledGroup(run, dialled.group, sheetId) };
  const { person } = dialled;
  const target = { type: 'person', personId: person.id } as const;
  const unanswered: Next = { type: 'unanswered', personId: person.id, sheetId };
  const why = whyNotPerson(run, person);
  if (why) {
    note(run, { type: 'notAnswered', target, why });
    return unanswered;
  }
  ring(run, { target, seconds: defaultRingSeconds, accept: false, hear: { type: 'ringback' }, unanswered });
  return undefined;
}

/** Nobody in a dialled group answering leads to its own path, or, where it has none, back to the menu. */
function dialledGroup(run: Run, group: Group, sheetId: SheetId): GroupPlan {
  const plan = planOfDialled(group, null);
  const hasPath = stepsAt(lineOf(run), { type: 'group', groupId: group.id }).length > 0;
  return hasPath ? plan : { ...plan, unanswered: { type: 'enter', sheetId } };
}

/** One try more: the menu is said again, or its path for those who cannot manage is taken. */
function failAt(run: Run, menu: Menu, tries: Tries, how: 'silence' | 'wrongKey'): Next | undefined {
  const enough = how === 'silence' ? tries.silentRounds >= menu.silentRounds : tries.wrongKeys >= menu.wrongKeys;
  const slot: Slot = { type: how, sheetId: menu.id };
  if (enough) return { type: 'path', place: { slot, stepIndex: 0, then: null } };
  const part = how === 'silence' ? 'silenceWords' : 'wrongKeyWords';
  sayInMenu(run, menu.id, tries, partItems(run, menu.id, part, menu[part]), 'menu');
  return undefined;
}

function menuOf(run: Run, sheetId: SheetId): Menu | undefined {
  const sheet = lineOf(run).sheets.get(sheetId)?.sheet;
  return sheet?.type === 'menu' ? sheet : undefined;
}
