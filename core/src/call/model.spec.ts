import fc from 'fast-check';
import { anyScript } from '../testing/anyScript';
import { closedMoment, noor, openMoment } from '../testing/boatyard';
import { findByKeypad, isInList, readPhoneNumber, type GroupId, type Person, type QueueId } from '../directory';
import { answersAt, isWorkingAt } from '../hours';
import { findSheet, keys, pathAt, type Key, type LineId, type Menu, type Path, type SheetId, type Slot } from '../line';
import { phrasesOf, sheetSentences, splitSentences } from '../speech';
import { callLimits } from './limits';
import { idleCall, type CallState } from './state';
import { step } from './step';
import { transcriptOf } from './transcriptOf';
import type { CallEvent } from './event';
import { spokenFacts, type CallScript, type LineScript } from './script';
import { cases } from '../testing/cases';

/**
 * The rules of a call told a second time, as plainly as can be: no plays, no timers, only what a caller does whenever
 * the call waits for them. The machine, driven the same way, must tell the same story.
 */
type Turn = { readonly type: 'key'; readonly key: Key } | { readonly type: 'silence' };
type Staff = 'answers' | 'isBusy' | 'doesNotAnswer';

/** Thrown when the story is over. */
const over = Symbol('over');

class Teller {
  readonly story: string[] = [];
  private line: LineScript;
  private sheet: SheetId | null = null;
  private menus: SheetId[] = [];
  private turnsWithoutKey = 0;
  private recorded = false;

  constructor(
    private readonly script: CallScript,
    private readonly atMs: number,
    private readonly caller: string,
    private readonly turns: Turn[],
    private readonly staff: Staff,
  ) {
    this.line = this.lineNamed(script.lineId) as LineScript;
  }

  tell(): readonly string[] {
    try {
      const blocked = this.script.callerLists.some((list) => list.kind === 'blocked' && isInList(list, this.caller));
      if (blocked) this.end('blocked');
      this.answer();
    } catch (thrown) {
      if (thrown !== over) throw thrown;
    }
    return this.story;
  }

  private answer(): never {
    const { attendant, hours, timeZone } = this.line;
    for (const rule of attendant.answering.rules) {
      if (rule.type === 'callers') {
        const list = this.script.callerLists.find(({ id }) => id === rule.callerListId);
        if (list && isInList(list, this.caller)) return this.takeAll(rule.path);
      } else if (answersAt([rule], hours, timeZone, this.atMs).type === 'period') return this.takeAll(rule.path);
    }
    return this.takeAll(attendant.answering.otherwise);
  }

  /** A path that nobody goes on after. */
  private takeAll(path: Path): never {
    this.take(path, false);
    return this.end('nothing more');
  }

  private takeSlot(slot: Slot): never {
    return this.takeAll(pathAt(this.line.attendant, slot) ?? []);
  }

  /** `more`: whether there are steps after the path, where it is followed from. */
  private take(path: Path, more: boolean): void {
    for (const [index, each] of path.entries()) {
      const goesOn = more || index < path.length - 1;
      switch (each.type) {
        case 'ring': {
          const person = this.script.people.find(({ id }) => id === each.personId);
          if (!person || !this.works(person)) break;
          this.say(each.before);
          this.ringPerson(person, each.seconds, each.onCall);
          break;
        }
        case 'ringOperator': {
          const operator = this.line.operatorId;
          if (this.script.groups.some(({ id }) => id === operator)) {
            this.say(each.before);
            this.ringGroup();
            if (!goesOn) this.takeFallback({ type: 'group', groupId: operator as GroupId });
            break;
          }
          const person = this.script.people.find(({ id }) => id === operator);
          if (!person || !this.works(person)) break;
          this.say(each.before);
          this.ringPerson(person, each.seconds);
          break;
        }
        case 'ringOutside': {
          const number = this.outside(each.to);
          if (!number) break;
          this.say(each.before);
          this.story.push(`ring ${number}`);
          if (this.staff === 'answers') this.end('talk');
          if (this.staff === 'doesNotAnswer' && each.seconds === null) this.end('rings for ever');
          break;
        }
        case 'ringGroup': {
          if (!this.script.groups.some(({ id }) => id === each.groupId)) break;
          this.say(each.before);
          this.ringGroup();
          if (!goesOn) this.takeFallback({ type: 'group', groupId: each.groupId });
          break;
        }
        case 'waitInQueue':
          if (this.script.queues.some(({ id }) => id === each.queueId)) this.wait(each.queueId, goesOn);
          break;
        case 'handOver': {
          const number = this.outside(each.to);
          if (!number) break;
          this.say(each.before);
          this.story.push(`hand over to ${number}`);
          if (this.staff === 'answers') this.end('handed over');
          break;
        }
        case 'toLine': {
          const line = this.lineNamed(each.lineId);
          if (!line) break;
          this.turn();
          this.line = line;
          this.sheet = null;
          this.menus = [];
          this.answer();
          break;
        }
        case 'say':
          if (each.spoken.type === 'typed') this.say(each.spoken.words);
          break;
        case 'takeMessage':
          if (this.script.boxes.some((box) => box.id === each.boxId)) this.end(`message ${each.boxId}`);
          break;
        case 'goTo':
          if (findSheet(this.line.attendant, each.sheetId)) this.enter(each.sheetId);
          break;
        case 'back': {
          const inMenu = this.menus.at(-1) === this.sheet;
          const previous = this.menus.at(inMenu && this.menus.length > 1 ? -2 : -1);
          if (!previous) break;
          if (inMenu && this.menus.length > 1) this.menus.pop();
          this.enter(previous);
          break;
        }
        case 'sayAgain':
          if (this.sheet) this.enter(this.sheet);
          break;
        case 'searchByName':
          this.search(each.by, each.seconds);
          break;
        case 'askExtension':
          this.askExtension(each.seconds);
          break;
        case 'followPath': {
          const named = this.line.attendant.paths.find(({ id }) => id === each.pathId);
          if (!named) break;
          this.turn();
          this.take(named.steps, goesOn);
          break;
        }
        case 'record':
          if (this.recorded !== each.on) this.story.push(each.on ? 'recorded' : 'not recorded');
          this.recorded = each.on;
          break;
        case 'hangUp':
          this.say(each.words);
          this.end('hang up');
      }
    }
  }

  private enter(sheetId: SheetId): never {
    this.turn();
    const sheet = findSheet(this.line.attendant, sheetId);
    if (!sheet) throw new Error('a sheet that is not there was entered');
    this.sheet = sheetId;
    const facts = spokenFacts(this.script, this.line, this.atMs);
    const words = sheetSentences(sheet, this.line.attendant.voice, facts).map(({ text }) => `say ${text}`);
    if (sheet.type === 'announcement') {
      this.story.push(...words);
      return this.takeSlot({ type: 'after', sheetId });
    }
    if (this.menus.at(-1) !== sheetId) this.menus.push(sheetId);
    let [silent, wrong] = [0, 0];
    for (;;) {
      this.story.push(...words);
      const turn = this.nextTurn();
      if (turn.type === 'silence') {
        silent += 1;
        if (silent >= sheet.silentRounds) return this.takeSlot({ type: 'silence', sheetId });
        this.say(sheet.silenceWords);
        continue;
      }
      const option = this.dialInMenu(sheet, turn.key);
      if (option) return this.takeSlot({ type: 'key', sheetId, key: option });
      wrong += 1;
      if (wrong >= sheet.wrongKeys) return this.takeSlot({ type: 'wrongKey', sheetId });
      this.say(sheet.wrongKeyWords);
    }
  }

  /** The option that a key, perhaps with more digits after it, means; undefined when it means nothing. */
  private dialInMenu(menu: Menu, key: Key): Key | undefined {
    let digits: string = key;
    while (menu.extensions && this.begins(digits)) {
      const turn = this.nextTurn();
      if (turn.type === 'silence' || turn.key === '#' || turn.key === '*') break;
      digits += turn.key;
    }
    if (digits.length === 1) return menu.options.find((option) => option.key === digits)?.key;
    const other = this.dialled(digits);
    if (other && 'groupId' in other) {
      this.ringGroup();
      const own = { type: 'group', groupId: other.groupId } as const;
      return pathAt(this.line.attendant, own)?.length ? this.takeFallback(own) : this.enter(menu.id);
    }
    if (other) {
      this.wait(other.queueId, false);
      this.end('nothing more');
    }
    const person = this.script.people.find(({ extension }) => extension === digits);
    if (!person) return undefined;
    if (this.works(person)) this.ringPerson(person, 24);
    const box = this.script.boxes.find(({ ownerId }) => ownerId === person.id);
    if (box) this.end(`message ${box.id}`);
    return this.enter(menu.id);
  }

  private ringGroup(): void {
    this.story.push('ring group');
    if (this.staff === 'answers') this.end('talk');
  }

  /** A group's own path, where nothing else is left. */
  private takeFallback(slot: Extract<Slot, { type: 'group' }>): never {
    this.turn();
    return this.takeSlot(slot);
  }

  private wait(queueId: QueueId, more: boolean): void {
    this.story.push('wait');
    if (this.staff === 'answers') this.end('talk');
    this.turn();
    const reason = this.staff === 'isBusy' ? 'full' : 'tooLong';
    this.take(pathAt(this.line.attendant, { type: 'queue', queueId, reason }) ?? [], more);
  }

  /** A group or queue whose extension was dialled. */
  private dialled(digits: string): { readonly groupId: GroupId } | { readonly queueId: QueueId } | undefined {
    const group = this.script.groups.find(({ extension }) => extension === digits);
    if (group) return { groupId: group.id };
    const queue = this.script.queues.find(({ extension }) => extension === digits);
    return queue && { queueId: queue.id };
  }

  /** Whether these digits are the beginning of a longer extension. */
  private begins(digits: string): boolean {
    const { people, groups, queues } = this.script;
    const extensions = [...people, ...groups, ...queues].map(({ extension }) => extension);
    return extensions.some((extension) => extension.startsWith(digits) && extension !== digits);
  }

  private search(by: 'firstName' | 'lastName' | 'eitherName', seconds: number): void {
    for (let asked = 0; asked < 3; asked += 1) {
      this.story.push('spell');
      const digits = this.gather((typed) => typed.length >= 3);
      if (digits === 'given up') return;
      if (digits === '') continue;
      const found = findByKeypad(this.script.people, digits, by);
      if (found.length > 1) return this.choose(found, seconds);
      const [person] = found;
      if (person) return this.ringFound(person, seconds);
    }
  }

  private choose(found: readonly Person[], seconds: number): void {
    for (let asked = 0; asked < 3; asked += 1) {
      this.story.push(`choose ${found.length}`);
      const digits = this.gather(() => true);
      if (digits === 'given up') return;
      const person = found[Number(digits) - 1];
      if (digits !== '' && person) return this.ringFound(person, seconds);
    }
  }

  private askExtension(seconds: number): void {
    const { people } = this.script;
    for (let asked = 0; asked < 3; asked += 1) {
      this.story.push('dial');
      const digits = this.gather((typed) => !this.begins(typed));
      if (digits === 'given up') return;
      const other = this.dialled(digits);
      if (other && 'groupId' in other) {
        this.ringGroup();
        this.turn();
        return this.take(pathAt(this.line.attendant, { type: 'group', groupId: other.groupId }) ?? [], true);
      }
      if (other) return this.wait(other.queueId, true);
      const person = people.find(({ extension }) => extension === digits);
      if (person) return this.ringFound(person, seconds);
    }
  }

  private gather(isDone: (typed: string) => boolean): string {
    let typed = '';
    while (typed === '' || !isDone(typed)) {
      const turn = this.nextTurn();
      if (turn.type === 'silence') return typed;
      if (turn.key === '*') return 'given up';
      if (turn.key === '#') return typed;
      typed += turn.key;
    }
    return typed;
  }

  private ringFound(person: Person, seconds: number): void {
    if (this.works(person)) this.ringPerson(person, seconds);
  }

  private ringPerson(person: Person, seconds: number | null, onCall = false): void {
    let left = seconds ?? Infinity;
    const phones = person.phones.filter(({ onCallOnly }) => onCall || !onCallOnly);
    phones.forEach((phone, index) => {
      if (left <= 0) return;
      this.story.push(`ring ${person.id} ${phone.type}`);
      if (this.staff === 'answers') this.end('talk');
      if (this.staff === 'isBusy') return;
      const isLast = index === phones.length - 1;
      if (isLast && left === Infinity) this.end('rings for ever');
      left -= isLast ? left : Math.min(left, phone.seconds);
    });
  }

  private works({ hoursId }: Person): boolean {
    const hours = this.script.hours.find(({ id }) => id === hoursId);
    return !hours || isWorkingAt(hours, this.line.timeZone, this.atMs);
  }

  private outside(to: { type: 'contact'; contactId: string } | { type: 'number'; number: string }): string | undefined {
    const contact = to.type === 'contact' ? this.script.contacts.find(({ id }) => id === to.contactId) : undefined;
    const read = readPhoneNumber(to.type === 'contact' ? (contact?.number ?? '') : to.number);
    return read.ok && read.value !== this.line.number ? read.value : undefined;
  }

  private lineNamed(id: LineId): LineScript | undefined {
    return this.script.lines.find((line) => line.id === id);
  }

  private nextTurn(): Turn {
    const turn = this.turns.shift() ?? { type: 'silence' };
    if (turn.type === 'key') this.turnsWithoutKey = 0;
    return turn;
  }

  private turn(): void {
    this.turnsWithoutKey += 1;
    if (this.turnsWithoutKey > callLimits.mostTurnsWithoutKey) this.end('circle');
  }

  private say(words: string): void {
    this.story.push(...splitSentences(words, 'en').map((text) => `say ${text}`));
  }

  private end(how: string): never {
    const stops = this.recorded ? ['not recorded'] : [];
    if (how === 'hang up') this.story.push(...stops, how);
    else if (how.startsWith('handed')) this.story.push(how, ...stops);
    else this.story.push(how);
    throw over;
  }
}

const ownWords = ['slt', 'frWoman'] as const;
const asked = new Map(
  ownWords.flatMap((voice) => {
    const { dialExtension, spellName } = phrasesOf(voice);
    const spelling = (['lastName', 'firstName', 'eitherName'] as const).map(
      (part) => [spellName(part), 'spell'] as const,
    );
    return [...spelling, [dialExtension, 'dial'] as const];
  }),
);

/** Drives the machine: whatever it waits for happens, and the caller takes their next turn when a key is waited for. */
function drive(script: CallScript, atMs: number, callerNumber: string, turns: Turn[], staff: Staff): readonly string[] {
  const story: string[] = [];
  let state: CallState = idleCall;
  let event: CallEvent | null = { type: 'dialled', atMs, callerNumber };
  while (event) {
    const result = step(script, state, event);
    const nowMs: number = event.atMs;
    state = result.state;
    const { phase } = state;
    const rung = result.effects.find((effect) => effect.type === 'ring');
    for (const entry of transcriptOf(result.effects, atMs)) {
      if (entry.type === 'said') {
        const { source, text } = entry;
        if (source.type !== 'box' && source.type !== 'line' && source.type !== 'queue') story.push(`say ${text}`);
        else if (asked.has(text)) story.push(asked.get(text) ?? '');
      }
      if (entry.type === 'ringing') {
        const { phone } = entry;
        story.push(
          phone.type === 'outside'
            ? `ring ${phone.number}`
            : `ring ${phone.personId} ${phone.number === null ? 'desk' : 'outside'}`,
        );
      }
      if (entry.type === 'ringingGroup') story.push('ring group');
      if (entry.type === 'answered') story.push('talk');
      if (entry.type === 'handingOver') story.push(`hand over to ${entry.target.number}`);
      if (entry.type === 'handedOver') story.push('handed over');
      if (entry.type === 'callRecording') story.push(entry.on ? 'recorded' : 'not recorded');
    }
    if (result.effects.some(({ type }) => type === 'enterQueue')) story.push('wait');
    if (phase.type === 'askSpeaking' && phase.ask.what === 'choice') story.push(`choose ${phase.ask.matches.length}`);
    event = nextEvent(state, { atMs, rungUntilMs: nowMs + (rung?.forMs ?? 0) }, turns, staff, story);
  }
  return story;
}

function nextEvent(
  { phase }: CallState,
  { atMs, rungUntilMs }: { readonly atMs: number; readonly rungUntilMs: number },
  left: Turn[],
  staff: Staff,
  story: string[],
): CallEvent | null {
  switch (phase.type) {
    case 'saying':
      if (phase.next.type === 'end' && phase.next.reason === 'circle') return endWith(story, 'circle');
      if (phase.next.type === 'end' && phase.next.reason === 'pathRanOut') return endWith(story, 'nothing more');
      return { type: 'playEnded', atMs, playId: phase.playId };
    case 'menuSpeaking':
    case 'askSpeaking':
      return { type: 'playEnded', atMs, playId: phase.playId };
    case 'menuWaiting':
    case 'menuDialling':
    case 'askWaiting': {
      const turn = left.shift() ?? { type: 'silence' };
      return turn.type === 'silence'
        ? { type: 'timePassed', atMs, timerId: phase.timerId }
        : { type: 'keyPressed', atMs, key: turn.key };
    }
    case 'ringing':
      if (staff === 'answers') return { type: 'staffAnswered', atMs, ringId: phase.ringId };
      if (staff === 'isBusy') return { type: 'staffBusy', atMs, ringId: phase.ringId };
      if (phase.timerId === null) return endWith(story, 'rings for ever');
      return { type: 'timePassed', atMs: rungUntilMs, timerId: phase.timerId };
    case 'handingOver': {
      const { handOverId, timerId } = phase;
      if (staff === 'answers') return { type: 'handedOver', atMs, handOverId };
      if (staff === 'isBusy') return { type: 'handOverFailed', atMs, handOverId, why: 'busy' };
      return { type: 'timePassed', atMs, timerId };
    }
    case 'ringingGroup':
      if (staff === 'answers') return memberAnswers(atMs, phase.ringId);
      return { type: 'groupUnanswered', atMs, ringId: phase.ringId, why: 'noAnswer' };
    case 'queuing':
      if (staff === 'isBusy') return { type: 'queueRefused', atMs, waitId: phase.waitId, why: 'full' };
      return { type: 'queued', atMs, waitId: phase.waitId };
    case 'inQueue':
      if (staff === 'answers') return memberAnswers(atMs, phase.waitId);
      return { type: 'timePassed', atMs, timerId: phase.timerId };
    case 'accepting':
      return { type: 'staffPressed', atMs, key: '1' };
    case 'boxGreeting':
      return endWith(story, `message ${phase.boxId}`);
    case 'ended':
      if (phase.reason === 'hungUp') return endWith(story, 'hang up');
      return phase.reason === 'blocked' ? endWith(story, 'blocked') : null;
    case 'idle':
    case 'onward':
    case 'connected':
    case 'onHold':
    case 'pinSpeaking':
    case 'pinWaiting':
    case 'pinChecking':
    case 'hearingMessages':
    case 'recording':
    case 'takeSpeaking':
    case 'takeRecording':
    case 'takeFinishing':
    case 'takeAsking':
    case 'takeWaiting':
      return null;
  }
}

function memberAnswers(atMs: number, id: number): CallEvent {
  const phone = { type: 'person', personId: noor.id, number: null } as const;
  return { type: 'memberAnswered', atMs, id, phone, holdGreetingId: null };
}

function endWith(story: string[], last: string): null {
  story.push(last);
  return null;
}

describe('the call machine and the rules told a second time', () => {
  const turn: fc.Arbitrary<Turn> = fc.oneof(
    fc.constantFrom(...keys).map((key) => ({ type: 'key' as const, key })),
    fc.constantFrom<Key>('2', '0', '6', '1', '4').map((key) => ({ type: 'key' as const, key })),
    fc.constant({ type: 'silence' as const }),
  );

  it('agree on any lines, for any caller, whoever answers', () => {
    fc.assert(
      fc.property(
        anyScript,
        fc.constantFrom(openMoment, closedMoment),
        fc.constantFrom('anonymous', '+12075550178', '+12075550171', '+12075550182', '+12075550199'),
        fc.array(turn, { maxLength: 10 }),
        fc.constantFrom<Staff>('answers', 'isBusy', 'doesNotAnswer'),
        (script, atMs, callerNumber, turns, staff) => {
          const told = new Teller(script, atMs, callerNumber, [...turns], staff).tell();
          expect(drive(script, atMs, callerNumber, [...turns], staff)).toEqual(told);
        },
      ),
      cases(1500),
    );
  });
});
