import type { CallScript, PlayItem } from '../call';
import { itemMs, readyOf } from '../call';
import { answersAt, type Answer } from '../hours';
import { keys, slotOfAnswer, usableSwitch, type Key, type Menu, type SheetId, type Slot } from '../line';
import { expectedMs, type Sentence } from '../speech';
import { alikeMoments } from './alike';
import { firstLeg, legFrom, trialsOf, type AtMenu, type Leg, type StaffDoes, type Trials } from './leg';
import type { Stretch, Turn, Way } from './way';

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
  /** Leaves out what happens on the ways and what menus say, for those who only ask where ways end and when. */
  readonly endsOnly?: boolean;
  /** When this many ways were found the rest is left out. */
  readonly most?: number;
}

export interface FoundWays {
  /** In the order of the script: a way comes before those that go on from it. */
  readonly ways: readonly Way[];
  /** Whether some were left out. */
  readonly isCut: boolean;
}

const mostWays = 20_000;

/**
 * Finds the ways through a line's attendant at a moment, with the seconds each takes: by trying it out. Calls are made on
 * the very machine that answers callers, on a clock of their own, and wherever the caller has a choice each is taken.
 * Every choice is made as if it were the moment of the call.
 */
export function findWays(script: CallScript, options: WaysOptions): FoundWays {
  return waysFinder(script)(options);
}

/** The same for several moments and staffs, which share what is found out about menus where calls go alike. */
export function waysFinder(script: CallScript): (options: WaysOptions) => FoundWays {
  const known = new Map<string, MenuWays>();
  const alike = alikeMoments(script);
  return (options) => find(script, options, { known, alike });
}

/** What was found out about menus before, by how callers come to them. */
interface Shared {
  readonly known: Map<string, MenuWays>;
  readonly alike: (atMs: number) => string;
}

function find(script: CallScript, options: WaysOptions, shared: Shared): FoundWays {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) return { ways: [], isCut: false };
  const { attendant, hours, timeZone } = line;
  const switched = usableSwitch(attendant, line.switched);
  const answer = options.answer ?? answersAt(attendant.answering.rules, hours, timeZone, options.atMs, { switched });
  return new Finder(script, options, shared).find(answer);
}

/** One choice in a menu, and what comes of it; known once for all ways that come to it alike. */
interface Branch {
  readonly turn: Turn;
  readonly leg: Leg;
  /** Until the leg begins, from when the menu does: for who listens, and for who knows the keys. */
  readonly afterMs: number;
  readonly quickAfterMs: number;
}

/** A menu as callers come to it. */
interface MenuWays {
  readonly said: readonly Stretch[];
  readonly branches: readonly Branch[];
}

class Finder {
  private readonly ways: Way[] = [];
  private readonly drawn = new Set<SheetId>();
  private readonly trials: Trials;
  /** What is the same for all its calls, and may be for those of another moment. */
  private readonly alike: string;
  private isCut = false;

  constructor(
    private readonly script: CallScript,
    private readonly options: WaysOptions,
    private readonly shared: Shared,
  ) {
    const { atMs, staff = 'noAnswer', lengthMs = expectedMs } = options;
    this.alike = `${shared.alike(atMs)} ${staff}`;
    this.trials = trialsOf({ script, atMs, staff, sentenceMs: remembering(lengthMs) });
  }

  find(answer: Answer): FoundWays {
    const start: From = { turn: null, slot: slotOfAnswer(answer), parent: null, fromMs: 0, quickFromMs: 0, met: [] };
    this.grow(start, firstLeg(this.trials, answer));
    return { ways: this.ways, isCut: this.isCut };
  }

  /** One way, and those that go on from it. */
  private grow({ turn, slot, parent, fromMs, quickFromMs, met }: From, leg: Leg): void {
    if (this.ways.length >= (this.options.most ?? mostWays)) {
      this.isCut = true;
      return;
    }
    const index = this.ways.length;
    const { endsOnly } = this.options;
    const { end, menu, personMs } = leg;
    const sheetId = menu?.menu.id;
    const isMet = sheetId !== undefined && (met.includes(sheetId) || (this.options.once && this.drawn.has(sheetId)));
    const goesOn = menu && !isMet ? this.waysOf(menu) : null;
    this.ways.push({
      index,
      parent,
      turn,
      slot,
      stretches: endsOnly ? [] : shifted(leg.stretches, fromMs),
      end: sheetId !== undefined && isMet ? { type: 'again', sheetId } : end,
      rings: leg.rings,
      menu: endsOnly ? [] : shifted(goesOn?.said ?? [], fromMs + leg.endMs),
      fromMs,
      endMs: fromMs + leg.endMs,
      quickFromMs,
      personMs: personMs && { soonestMs: fromMs + personMs.soonestMs, latestMs: fromMs + personMs.latestMs },
      quickPersonMs: personMs && quickFromMs + personMs.soonestMs,
    });
    if (!goesOn || sheetId === undefined) return;
    this.drawn.add(sheetId);
    for (const branch of goesOn.branches) {
      this.grow(
        {
          turn: branch.turn,
          slot: branch.turn,
          parent: index,
          fromMs: fromMs + leg.endMs + branch.afterMs,
          quickFromMs: quickFromMs + leg.endMs + branch.quickAfterMs,
          met: [...met, sheetId],
        },
        branch.leg,
      );
    }
  }

  /** What a menu says and leads to; tried out once for callers who come to it from the same one. */
  private waysOf(at: AtMenu): MenuWays {
    const { menus, callRecordingId, lineId } = at.state;
    const isAs = [this.alike, lineId, at.menu.id, menus.at(-2), callRecordingId !== null].join(' ');
    const { known } = this.shared;
    let ways = known.get(isAs);
    if (!ways) known.set(isAs, (ways = this.tryMenu(at)));
    return ways;
  }

  private tryMenu(at: AtMenu): MenuWays {
    const { menu, items, wholeMs } = at;
    const sheetId = menu.id;
    const keysOf = menu.options.map(({ key }): Branch => {
      const leg = legFrom(this.trials, at, { type: 'key', key });
      const { inMenuMs } = leg;
      const listenedMs = menu.keysDuringGreeting ? this.heardAfterMs(items, key, wholeMs) : 0;
      return { turn: { type: 'key', sheetId, key }, leg, afterMs: listenedMs + inMenuMs, quickAfterMs: inMenuMs };
    });
    const silent = legFrom(this.trials, at, { type: 'silence' });
    const silence: Branch = {
      turn: { type: 'silence', sheetId },
      leg: silent,
      afterMs: silent.inMenuMs,
      quickAfterMs: silent.inMenuMs,
    };
    return { said: this.saidIn(menu, items), branches: [...keysOf, silence, ...this.wrongKeys(at)] };
  }

  /** The way for wrong keys; none where every key has a use. */
  private wrongKeys(at: AtMenu): readonly Branch[] {
    const { menu } = at;
    const key = wrongKeyIn(menu, menu.extensions ? readyOf(this.script).beginnings : new Set());
    if (!key) return [];
    const [listening, quick] = [true, false].map((listens) =>
      legFrom(this.trials, at, { type: 'wrongKey', key, listens }),
    ) as [Leg, Leg];
    const turn = { type: 'wrongKey', sheetId: menu.id } as const;
    return [{ turn, leg: listening, afterMs: listening.inMenuMs, quickAfterMs: quick.inMenuMs }];
  }

  /** What a menu says, and its wait for a key. */
  private saidIn({ id: sheetId, waitSeconds }: Menu, items: readonly PlayItem[]): readonly Stretch[] {
    let atMs = 0;
    const said = items.flatMap((item): readonly Stretch[] => {
      const fromMs = atMs;
      atMs += this.msOf([item]);
      if (item.type !== 'sentence') return [];
      const { sentence } = item;
      const span = { fromMs, toMs: fromMs + this.trials.sentenceMs(sentence) };
      const { source, text } = sentence;
      return [
        source.type === 'option'
          ? { ...span, type: 'option', sheetId, key: source.key }
          : { ...span, type: 'words', text, sheetId },
      ];
    });
    return [...said, { type: 'wait', sheetId, fromMs: atMs, toMs: atMs + waitSeconds * 1000 }];
  }

  /** How long until an option was heard; one that is not read out is known only once all was said. */
  private heardAfterMs(items: readonly PlayItem[], key: Key, wholeMs: number): number {
    const index = items.findIndex(
      (item) => item.type === 'sentence' && item.sentence.source.type === 'option' && item.sentence.source.key === key,
    );
    const item = items[index];
    if (item?.type !== 'sentence') return wholeMs;
    return this.msOf(items.slice(0, index)) + this.trials.sentenceMs(item.sentence);
  }

  private msOf(items: readonly PlayItem[]): number {
    return items.reduce((sum, item) => sum + itemMs(item, this.trials.sentenceMs), 0);
  }
}

/** From where a way grows. */
interface From {
  readonly turn: Turn | null;
  readonly slot: Slot;
  readonly parent: number | null;
  readonly fromMs: number;
  readonly quickFromMs: number;
  /** The menus met on it so far. */
  readonly met: readonly SheetId[];
}

function shifted(stretches: readonly Stretch[], byMs: number): readonly Stretch[] {
  if (byMs === 0) return stretches;
  return stretches.map((each) => ({ ...each, fromMs: each.fromMs + byMs, toMs: each.toMs + byMs }));
}

/** A key that has no use in a menu, one that begins no extension where there is such. */
function wrongKeyIn(menu: Menu, beginnings: ReadonlySet<string>): Key | undefined {
  const free = keys.filter((key) => menu.options.every((option) => option.key !== key));
  return free.find((key) => !beginnings.has(key)) ?? free[0];
}

function remembering(lengthMs: (sentence: Sentence) => number): (sentence: Sentence) => number {
  const known = new WeakMap<Sentence, number>();
  const byText = new Map<string, number>();
  const find = (sentence: Sentence): number => {
    const is = `${sentence.voice} ${sentence.recorded?.audioId ?? ''} ${sentence.text}`;
    const ms = byText.get(is) ?? lengthMs(sentence);
    byText.set(is, ms);
    return ms;
  };
  return (sentence) => {
    const ms = known.get(sentence) ?? find(sentence);
    known.set(sentence, ms);
    return ms;
  };
}
