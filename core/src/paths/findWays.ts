import type { CallScript, LineScript } from '../call';
import { outsideTargetOf, spokenFacts, wordsFirst } from '../call';
import type { Group, Membership } from '../directory';
import { answersAt, isWorkingAt, type Answer, type HoursId } from '../hours';
import {
  findNamedPath,
  findSheet,
  pathAt,
  slotOfAnswer,
  usableSwitch,
  type Menu,
  type Path,
  type SheetId,
  type Slot,
  type Step,
} from '../line';
import { expectedMs, phrasesOf, sentencesOf, sheetSentences, type Sentence, type SpokenFacts } from '../speech';
import type { RingTarget, Stretch, Turn, Way, WayEnd } from './way';

export interface WaysOptions {
  /** The moment of the call, in ms since 1970. */
  readonly atMs: number;
  /** How long a sentence takes, in ms; estimated where it is not known. */
  readonly lengthMs?: (sentence: Sentence) => number;
  /**
   * Draws each menu where it is met first and points there from elsewhere. Otherwise every way through is found, menus
   * that were met before on the same way left out: there can be very many.
   */
  readonly once?: boolean;
  /** What those do who are rung; nobody answers unless said otherwise. */
  readonly staff?: StaffDoes;
  /** What answers, for callers of a list; by default what answers unknown callers then. */
  readonly answer?: Answer;
  /** When this many ways were found the rest is left out. */
  readonly most?: number;
}

/** What everybody who is rung does: lets it ring, picks up at once, or is busy. */
export const staffDoes = ['noAnswer', 'answers', 'busy'] as const;
export type StaffDoes = (typeof staffDoes)[number];

export interface FoundWays {
  /** In the order of the script: a way comes before those that go on from it. */
  readonly ways: readonly Way[];
  /** Whether some were left out. */
  readonly isCut: boolean;
}

const beepMs = 400;
/** How long somebody takes to press the keys of a name or an extension. */
const digitsMs = 3000;
/** How much of a message is drawn: callers speak for about so long. */
const messageMs = 20_000;
const mostWays = 20_000;

/** Finds the ways through a line's attendant at a moment, with the seconds each takes. */
export function findWays(script: CallScript, options: WaysOptions): FoundWays {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) return { ways: [], isCut: false };
  return new Finder(script, line, options).find();
}

/** What is needed to go on from a point of a way. */
interface Point {
  atMs: number;
  quickMs: number;
  /** The sheets met on this way so far. */
  readonly met: readonly SheetId[];
  sheetId: SheetId | null;
  isRecorded: boolean;
}

interface Growing {
  readonly index: number;
  readonly stretches: Stretch[];
  personMs: { soonestMs: number; latestMs: number } | null;
  quickPersonMs: number | null;
}

class Finder {
  private readonly ways: Way[] = [];
  private readonly drawn = new Set<SheetId>();
  private readonly said = new Map<SheetId, readonly { readonly sentence: Sentence; readonly ms: number }[]>();
  private readonly lengths = new Map<string, number>();
  private readonly facts: SpokenFacts;
  private isCut = false;

  constructor(
    private readonly script: CallScript,
    private readonly line: LineScript,
    private readonly options: WaysOptions,
  ) {
    this.facts = spokenFacts(script, line, options.atMs);
  }

  find(): FoundWays {
    const { attendant, hours, timeZone } = this.line;
    const switched = usableSwitch(attendant, this.line.switched);
    const answer =
      this.options.answer ?? answersAt(attendant.answering.rules, hours, timeZone, this.options.atMs, { switched });
    const first = wordsFirst(this.line, answer, this.options.atMs);
    const start: Point = { atMs: 0, quickMs: 0, met: [], sheetId: null, isRecorded: false };
    this.grow(slotOfAnswer(answer), null, null, start, first);
    return { ways: this.ways, isCut: this.isCut };
  }

  /** One way, and those that go on from it. The words are said before its path. */
  private grow(slot: Slot, turn: Turn | null, parent: number | null, from: Point, first = ''): void {
    if (this.ways.length >= (this.options.most ?? mostWays)) {
      this.isCut = true;
      return;
    }
    const index = this.ways.length;
    const growing: Growing = { index, stretches: [], personMs: null, quickPersonMs: null };
    const point: Point = { ...from };
    const way: { -readonly [Name in keyof Way]: Way[Name] } = {
      index,
      parent,
      turn,
      slot,
      stretches: growing.stretches,
      end: { type: 'ranOut' },
      menu: [],
      fromMs: from.atMs,
      endMs: from.atMs,
      quickFromMs: from.quickMs,
      personMs: null,
      quickPersonMs: null,
    };
    this.ways.push(way);
    this.words(first, point, growing);
    const path = pathAt(this.line.attendant, slot) ?? [];
    way.end = this.walk(path, point, growing, []) ?? this.runOut(path, point, growing);
    way.endMs = point.atMs;
    way.personMs = growing.personMs;
    way.quickPersonMs = growing.quickPersonMs;
    if (way.end.type !== 'menu') return;
    way.menu = this.menuSaid(way.end.sheetId, point.atMs);
    this.enterMenu(way.end.sheetId, index, point);
  }

  /** Takes the steps of a path until one ends the way; undefined when none did. */
  private walk(path: Path, point: Point, growing: Growing, following: readonly string[]): WayEnd | undefined {
    for (const step of path) {
      const end = this.take(step, point, growing, following);
      if (end) return end;
    }
    return undefined;
  }

  private take(step: Step, point: Point, growing: Growing, following: readonly string[]): WayEnd | undefined {
    switch (step.type) {
      case 'say': {
        const { spoken } = step;
        const greeting =
          spoken.type === 'greeting' ? this.script.greetings.find(({ id }) => id === spoken.greetingId) : undefined;
        this.words(spoken.type === 'typed' ? spoken.words : (greeting?.words ?? ''), point, growing);
        return undefined;
      }
      case 'ring': {
        const person = this.script.people.find(({ id }) => id === step.personId);
        if (!person || !this.keeps(person.hoursId)) return undefined;
        return this.ring(step, { type: 'person', personId: person.id }, point, growing);
      }
      case 'ringOutside': {
        const target = outsideTargetOf(this.script, this.line, step.to, this.options.atMs);
        return 'why' in target ? undefined : this.ring(step, target, point, growing);
      }
      case 'ringGroup': {
        const group = this.script.groups.find(({ id }) => id === step.groupId);
        if (!group || !this.isStaffed(group)) return undefined;
        const seconds = step.seconds ?? group.inAllSeconds ?? onceRoundSeconds(group);
        return this.ring({ seconds, before: step.before }, { type: 'group', groupId: group.id }, point, growing);
      }
      case 'waitInQueue': {
        const queue = this.script.queues.find(({ id }) => id === step.queueId);
        if (!queue) return undefined;
        if (following.includes(queue.id)) return { type: 'circle' };
        const isTaken = !queue.paused && this.isStaffed(queue);
        if (isTaken) {
          const ms = queue.longestWaitSeconds * 1000;
          if (this.options.staff !== 'busy') this.reach(point, growing, this.options.staff === 'answers' ? 0 : ms);
          if (this.options.staff === 'answers') return { type: 'talks', target: { type: 'queue', queueId: queue.id } };
          this.add(growing, point, ms, { type: 'queue', queueId: queue.id });
        }
        const reason = isTaken ? 'tooLong' : 'nobodyWorking';
        const left = pathAt(this.line.attendant, { type: 'queue', queueId: queue.id, reason });
        return this.walk(left ?? [], point, growing, [...following, queue.id]);
      }
      case 'handOver': {
        const target = outsideTargetOf(this.script, this.line, step.to, this.options.atMs);
        if ('why' in target) return undefined;
        this.words(step.before, point, growing);
        this.reach(point, growing, 0);
        return { type: 'handedOver', target };
      }
      case 'toLine':
        return this.script.lines.some(({ id }) => id === step.lineId)
          ? { type: 'line', lineId: step.lineId }
          : undefined;
      case 'takeMessage': {
        const box = this.script.boxes.find(({ id }) => id === step.boxId);
        if (!box) return undefined;
        const greeting = this.script.greetings.find(({ id }) => id === box.greetingId);
        this.words(greeting?.words ?? phrasesOf(this.voice(point)).leaveMessage(box.name), point, growing);
        if (step.beep ?? box.beep) this.pass(point, beepMs);
        this.add(growing, point, Math.min(messageMs, box.longestMessageSeconds * 1000), {
          type: 'message',
          boxId: box.id,
        });
        return { type: 'message', boxId: box.id };
      }
      case 'goTo':
        return this.goTo(step.sheetId, point, growing);
      case 'back': {
        const menus = point.met.filter((id) => findSheet(this.line.attendant, id)?.type === 'menu');
        const isInMenu = menus.at(-1) === point.sheetId && menus.length > 1;
        const previous = menus.at(isInMenu ? -2 : -1);
        return previous ? { type: 'again', sheetId: previous } : undefined;
      }
      case 'sayAgain':
        return point.sheetId ? { type: 'again', sheetId: point.sheetId } : undefined;
      case 'searchByName':
      case 'askExtension': {
        const said = phrasesOf(this.voice(point));
        this.words(step.type === 'askExtension' ? said.dialExtension : said.spellName(step.by), point, growing);
        this.add(growing, point, digitsMs, { type: 'digits' });
        return this.ring({ seconds: step.seconds, before: '' }, { type: 'anybody' }, point, growing);
      }
      case 'followPath': {
        const named = findNamedPath(this.line.attendant, step.pathId);
        if (!named) return undefined;
        if (following.includes(step.pathId)) return { type: 'circle' };
        return this.walk(named.steps, point, growing, [...following, step.pathId]);
      }
      case 'record':
        if (step.on && step.tells && !point.isRecorded) {
          this.words(phrasesOf(this.voice(point)).recorded, point, growing);
        }
        point.isRecorded = step.on;
        return undefined;
      case 'hangUp':
        this.words(step.words, point, growing);
        return { type: 'hungUp' };
    }
  }

  /** No step is left: where the last one rang a group, the group's own path says what comes. */
  private runOut(path: Path, point: Point, growing: Growing): WayEnd {
    const last = path.at(-1);
    const own = last?.type === 'ringGroup' && pathAt(this.line.attendant, { type: 'group', groupId: last.groupId });
    const isOwn = last?.type === 'ringGroup' && own === path;
    if (isOwn) return { type: 'circle' };
    if (own) return this.walk(own, point, growing, []) ?? this.runOut(own, point, growing);
    this.words(phrasesOf(this.voice(point)).nothingMore, point, growing);
    return { type: 'ranOut' };
  }

  private ring(
    { seconds, before }: { readonly seconds: number | null; readonly before: string },
    target: RingTarget,
    point: Point,
    growing: Growing,
  ): WayEnd | undefined {
    this.words(before, point, growing);
    const { staff } = this.options;
    if (staff === 'busy') return undefined;
    const ms = (seconds ?? 120) * 1000;
    this.reach(point, growing, staff === 'answers' ? 0 : ms);
    if (staff === 'answers') return { type: 'talks', target };
    this.add(growing, point, ms, { type: 'ring', target });
    return seconds === null ? { type: 'forEver' } : undefined;
  }

  /** Whether somebody who keeps these hours works now; whoever keeps none does. */
  private keeps(hoursId: HoursId | null): boolean {
    const hours = hoursId && this.script.hours.find(({ id }) => id === hoursId);
    return !hours || isWorkingAt(hours, this.line.timeZone, this.options.atMs);
  }

  /** Whether a group or queue has anybody to ring now. */
  private isStaffed({ members, workingOnly, hoursId }: Membership): boolean {
    if (!this.keeps(hoursId)) return false;
    return members.some(({ personId }) => {
      const person = this.script.people.find(({ id }) => id === personId);
      return person !== undefined && (!workingOnly || this.keeps(person.hoursId));
    });
  }

  /** Somebody can pick up from now on, for so long. */
  private reach({ atMs, quickMs }: Point, growing: Growing, ms: number): void {
    growing.personMs = { soonestMs: growing.personMs?.soonestMs ?? atMs, latestMs: atMs + ms };
    growing.quickPersonMs ??= quickMs;
  }

  private goTo(sheetId: SheetId, point: Point, growing: Growing): WayEnd | undefined {
    const sheet = findSheet(this.line.attendant, sheetId);
    if (!sheet) return undefined;
    if (point.met.includes(sheetId)) return { type: 'again', sheetId };
    if (sheet.type === 'menu') {
      const isElsewhere = this.options.once && this.drawn.has(sheetId);
      return { type: isElsewhere ? 'again' : 'menu', sheetId };
    }
    Object.assign(point, { met: [...point.met, sheetId], sheetId });
    for (const { sentence, ms } of this.sheetSaid(sheetId)) {
      this.add(growing, point, ms, { type: 'words', text: sentence.text, sheetId });
      this.pass(point, sentence.pauseAfterMs);
    }
    // What is left of the path that led here can never run.
    return this.walk(sheet.afterPath, point, growing, []) ?? this.runOut(sheet.afterPath, point, growing);
  }

  /** The ways from a menu: a key each, then for callers who press nothing, and the wrong ones. */
  private enterMenu(sheetId: SheetId, parent: number, point: Point): void {
    const menu = findSheet(this.line.attendant, sheetId);
    if (menu?.type !== 'menu') return;
    this.drawn.add(sheetId);
    const met = [...point.met, sheetId];
    const { isRecorded } = point;
    const said = this.sheetSaid(sheetId);
    const wholeMs = said.reduce((sum, { sentence, ms }) => sum + ms + sentence.pauseAfterMs, 0);
    const quickMs = point.quickMs + (menu.keysDuringGreeting ? 0 : wholeMs);
    for (const { key } of menu.options) {
      const waitMs = this.extensionWaitMs(menu, key);
      const heardMs = this.heardAfterMs(menu, key, wholeMs);
      const at = { met, sheetId, isRecorded, atMs: point.atMs + heardMs + waitMs, quickMs: quickMs + waitMs };
      this.grow({ type: 'key', sheetId, key }, { type: 'key', sheetId, key }, parent, at);
    }
    const silenceMs = this.fallbackMs(menu, 'silence', wholeMs);
    const silence = { met, sheetId, isRecorded, atMs: point.atMs + silenceMs, quickMs: point.quickMs + silenceMs };
    this.grow({ type: 'silence', sheetId }, { type: 'silence', sheetId }, parent, silence);
    const wrong = {
      met,
      sheetId,
      isRecorded,
      atMs: point.atMs + this.fallbackMs(menu, 'wrongKey', wholeMs),
      quickMs: quickMs + this.fallbackMs(menu, 'wrongKey', menu.keysDuringGreeting ? 0 : wholeMs),
    };
    this.grow({ type: 'wrongKey', sheetId }, { type: 'wrongKey', sheetId }, parent, wrong);
  }

  /** What a menu says from an instant on, option by option, and its wait for a key. */
  private menuSaid(sheetId: SheetId, fromMs: number): readonly Stretch[] {
    let at = fromMs;
    const said = this.sheetSaid(sheetId).map(({ sentence, ms }): Stretch => {
      const { source, text } = sentence;
      const span = { fromMs: at, toMs: at + ms };
      at = span.toMs + sentence.pauseAfterMs;
      return source.type === 'option'
        ? { ...span, type: 'option', sheetId, key: source.key }
        : { ...span, type: 'words', text, sheetId };
    });
    const sheet = findSheet(this.line.attendant, sheetId);
    const waitMs = sheet?.type === 'menu' ? sheet.waitSeconds * 1000 : 0;
    return [...said, { type: 'wait', sheetId, fromMs: at, toMs: at + waitMs }];
  }

  /** How long until an option was heard; one that is not read out is known only once all was said. */
  private heardAfterMs(menu: Menu, key: string, wholeMs: number): number {
    let at = 0;
    for (const { sentence, ms } of this.sheetSaid(menu.id)) {
      at += ms;
      const { source } = sentence;
      if (source.type === 'option' && source.key === key) return menu.keysDuringGreeting ? at : wholeMs;
      at += sentence.pauseAfterMs;
    }
    return wholeMs;
  }

  /** Rounds of a menu until its path for silence or wrong keys is taken; for wrong keys after hearing so much of it. */
  private fallbackMs(menu: Menu, how: 'silence' | 'wrongKey', heardMs: number): number {
    const rounds = how === 'silence' ? menu.silentRounds : menu.wrongKeys;
    const between = this.msOf(how === 'silence' ? menu.silenceWords : menu.wrongKeyWords, this.voiceOfSheet(menu.id));
    const round = heardMs + (how === 'silence' ? menu.waitSeconds * 1000 : 0);
    return rounds * round + (rounds - 1) * between;
  }

  private extensionWaitMs(menu: Menu, key: string): number {
    if (!menu.extensions) return 0;
    const begins = this.script.people.some(({ extension }) => extension.startsWith(key) && extension !== key);
    return begins ? menu.extensions.waitSeconds * 1000 : 0;
  }

  private words(words: string, point: Point, growing: Growing): void {
    for (const sentence of sentencesOf(words, this.voice(point), { type: 'line' }, this.facts)) {
      this.add(growing, point, this.lengthOf(sentence), { type: 'words', text: sentence.text, sheetId: point.sheetId });
      this.pass(point, sentence.pauseAfterMs);
    }
  }

  private msOf(words: string, voice: Sentence['voice']): number {
    return sentencesOf(words, voice, { type: 'line' }, this.facts).reduce(
      (sum, sentence) => sum + this.lengthOf(sentence) + sentence.pauseAfterMs,
      0,
    );
  }

  /** What a sheet says, with how long each sentence takes; looked up once. */
  private sheetSaid(sheetId: SheetId) {
    let said = this.said.get(sheetId);
    if (!said) {
      const sheet = findSheet(this.line.attendant, sheetId);
      const sentences = sheet ? sheetSentences(sheet, this.line.attendant.voice, this.facts) : [];
      said = sentences.map((sentence) => ({ sentence, ms: this.lengthOf(sentence) }));
      this.said.set(sheetId, said);
    }
    return said;
  }

  private lengthOf(sentence: Sentence): number {
    const known = `${sentence.voice} ${sentence.text}`;
    let ms = this.lengths.get(known);
    if (ms === undefined) {
      ms = this.options.lengthMs?.(sentence) ?? expectedMs(sentence);
      this.lengths.set(known, ms);
    }
    return ms;
  }

  private voice({ sheetId }: Point): Sentence['voice'] {
    return sheetId ? this.voiceOfSheet(sheetId) : this.line.attendant.voice;
  }

  private voiceOfSheet(sheetId: SheetId): Sentence['voice'] {
    return findSheet(this.line.attendant, sheetId)?.voice ?? this.line.attendant.voice;
  }

  private add(growing: Growing, point: Point, ms: number, what: StretchContent): void {
    growing.stretches.push({ ...what, fromMs: point.atMs, toMs: point.atMs + ms });
    this.pass(point, ms);
  }

  private pass(point: Point, ms: number): void {
    point.atMs += ms;
    point.quickMs += ms;
  }
}

/** How long a group is rung when everybody is there and nobody answers. */
function onceRoundSeconds({ members, order, memberSeconds }: Group): number {
  if (order === 'allAtOnce') return memberSeconds;
  const turns = order === 'tierByTier' ? new Set(members.map(({ tier }) => tier)).size : members.length;
  return turns * memberSeconds;
}

type StretchContent = Stretch extends infer Each
  ? Each extends unknown
    ? Omit<Each, 'fromMs' | 'toMs'>
    : never
  : never;
