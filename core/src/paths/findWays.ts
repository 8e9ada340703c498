import type { CallScript } from '../call';
import { answersAt, type Answer } from '../hours';
import { slotOfAnswer, usableSwitch, type SheetId, type Slot } from '../line';
import { expectedMs, type Sentence } from '../speech';
import { alikeMoments } from './alike';
import type { StaffDoes } from './leg';
import { MenuTrials, type Branch, type MenuWays } from './menuTrials';
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

class Finder {
  private readonly ways: Way[] = [];
  private readonly drawn = new Set<SheetId>();
  private readonly trials: MenuTrials;
  private isCut = false;

  constructor(
    script: CallScript,
    private readonly options: WaysOptions,
    { known, alike }: Shared,
  ) {
    const { atMs, staff = 'noAnswer', lengthMs = expectedMs } = options;
    this.trials = new MenuTrials(script, {
      atMs,
      staff,
      lengthMs,
      isTimed: true,
      alike: `${alike(atMs)} ${staff}`,
      known,
    });
  }

  find(answer: Answer): FoundWays {
    this.grow(this.trials.begin(answer), {
      slot: slotOfAnswer(answer),
      parent: null,
      fromMs: 0,
      quickFromMs: 0,
      met: [],
    });
    return { ways: this.ways, isCut: this.isCut };
  }

  /** One way, and those that go on from it. */
  private grow({ turn, leg, exits }: Branch, { slot, parent, fromMs, quickFromMs, met }: From): void {
    if (this.ways.length >= (this.options.most ?? mostWays)) {
      this.isCut = true;
      return;
    }
    const index = this.ways.length;
    const { endsOnly } = this.options;
    const { end, menu, personMs } = leg;
    const sheetId = menu?.menu.id;
    const isMet = sheetId !== undefined && (met.includes(sheetId) || (this.options.once && this.drawn.has(sheetId)));
    const goesOn = menu && !isMet ? this.trials.waysOf(menu) : null;
    const endMs = fromMs + leg.endMs;
    this.ways.push({
      index,
      parent,
      turn,
      slot,
      stretches: endsOnly ? [] : shifted(leg.stretches, fromMs),
      end: sheetId !== undefined && isMet ? { type: 'again', sheetId } : end,
      rings: leg.rings,
      menu: endsOnly ? [] : shifted(goesOn?.said ?? [], endMs),
      fromMs,
      endMs,
      quickFromMs,
      personMs: personMs && { soonestMs: fromMs + personMs.soonestMs, latestMs: fromMs + personMs.latestMs },
      quickPersonMs: personMs && quickFromMs + personMs.soonestMs,
    });
    const growAll = (branches: readonly Branch[], sinceMs: number, quickSinceMs: number, met: readonly SheetId[]) => {
      for (const branch of branches) {
        this.grow(branch, {
          slot: slotOfTurn(branch.turn) ?? slot,
          parent: index,
          fromMs: sinceMs + branch.afterMs,
          quickFromMs: quickSinceMs + branch.quickAfterMs,
          met,
        });
      }
    };
    growAll(exits, fromMs, quickFromMs, met);
    if (!goesOn || sheetId === undefined) return;
    this.drawn.add(sheetId);
    growAll(goesOn.branches, endMs, quickFromMs + leg.endMs, [...met, sheetId]);
  }
}

/** From where a way grows. */
interface From {
  readonly slot: Slot;
  readonly parent: number | null;
  readonly fromMs: number;
  readonly quickFromMs: number;
  /** The menus met on it so far. */
  readonly met: readonly SheetId[];
}

/** Where the path of a choice is written. */
function slotOfTurn(turn: Turn | null): Slot | null {
  if (turn?.type === 'exitKey') return { type: 'queue', queueId: turn.queueId, reason: 'exitKey' };
  return turn?.type === 'queueFull' ? { type: 'queue', queueId: turn.queueId, reason: 'full' } : turn;
}

function shifted(stretches: readonly Stretch[], byMs: number): readonly Stretch[] {
  if (byMs === 0) return stretches;
  return stretches.map((each) => ({ ...each, fromMs: each.fromMs + byMs, toMs: each.toMs + byMs }));
}
