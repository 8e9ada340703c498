import type { Outcome } from '../call';
import type { CallId } from '../exchange';
import type { GroupId, QueueId } from '../directory';
import type { SheetId } from '../line';
import { quantile, quantileInterval, shareInterval, type Interval } from './intervals';
import type { Who } from './rings';
import type { Choice } from './visits';
import { fateOf } from './when';

/** What of a call tells how long it took until somebody answered. */
export interface AnsweredRow {
  readonly callId: CallId;
  /** Of the day, by the line's clock. */
  readonly minute: number;
  readonly outcome: Outcome;
  readonly toPersonMs: number | null;
  readonly through: GroupId | QueueId | null;
  readonly answeredBy: Who | null;
  readonly firstSheetId: SheetId | null;
  readonly firstChoice: Choice | null;
}

/** How long it took, of some of the calls. */
export interface AnswerTimes {
  /** How many reached somebody. */
  readonly reached: number;
  /** How many did not, and left no message either. */
  readonly lost: number;
  /** Half of those who reached somebody did so within it; null of none. In ms. */
  readonly medianMs: number | null;
  /** Nine in ten did. */
  readonly nineTenthsMs: number | null;
  /** How many reached somebody within the seconds that were asked about. */
  readonly within: number;
}

export interface AnsweredFigures extends AnswerTimes {
  readonly calls: number;
  readonly withinS: number;
  readonly messages: number;
  /** Where the median lies at 95 %; null of too few. In ms. */
  readonly medianBetween: Interval | null;
  /** Where the share within those seconds lies, of all who reached somebody. */
  readonly withinBetween: Interval;
  /** How many reached somebody in each stretch of time, from the one before it on. */
  readonly stretches: readonly { readonly untilS: number | null; readonly calls: number }[];
  /** By the group or queue that brought them, or who was rung themselves; the most calls first. */
  readonly byWay: readonly (Omit<AnswerTimes, 'lost'> & { readonly to: GroupId | QueueId | Who })[];
  /** By what they pressed first. */
  readonly byKey: readonly (AnswerTimes & { readonly sheetId: SheetId; readonly choice: Choice })[];
  /** By hour of the day, those in which somebody called. */
  readonly byHour: readonly (AnswerTimes & { readonly hour: number })[];
  /** Those who were answered last of all, the longest first. */
  readonly longest: readonly { readonly callId: CallId; readonly toPersonMs: number }[];
}

/** Ends of the stretches of time that are told apart, in s. */
const stretchEndsS = [10, 20, 30, 45, 60, 90, 120, 180, 300] as const;
const longestTold = 5;

/**
 * @param rows one after the other, each looked at once: there may be very many
 * @param withinS in how many seconds callers are to be answered
 */
export function answeredFigures(rows: Iterable<AnsweredRow>, withinS: number): AnsweredFigures {
  const all = new Times();
  const [byWay, byKey, byHour] = [new Groups<GroupId | QueueId | Who>(), new Groups<string>(), new Groups<number>()];
  const longest: { callId: CallId; toPersonMs: number }[] = [];
  let [calls, messages] = [0, 0];
  for (const { callId, minute, outcome, toPersonMs, through, answeredBy, firstSheetId, firstChoice } of rows) {
    const fate = fateOf[outcome];
    if (fate === 'aside') continue;
    calls += 1;
    if (fate === 'message') messages += 1;
    const isLost = fate === 'lost';
    all.add(toPersonMs, isLost);
    const way = through ?? answeredBy;
    if (way !== null) byWay.of(way).add(toPersonMs, isLost);
    if (firstSheetId !== null && firstChoice !== null)
      byKey.of(`${firstSheetId} ${firstChoice}`).add(toPersonMs, isLost);
    byHour.of(Math.floor(minute / 60)).add(toPersonMs, isLost);
    if (toPersonMs !== null) keepLongest(longest, { callId, toPersonMs });
  }
  const sorted = all.sorted();
  const times = all.figures(withinS);
  return {
    ...times,
    calls,
    withinS,
    messages,
    medianBetween: quantileInterval(sorted, 0.5),
    withinBetween: shareInterval(times.within, times.reached),
    stretches: stretchesOf(sorted),
    byWay: byWay
      .all()
      .map(([to, of]) => {
        // Who was lost is nobody's: they were on their way to any.
        const { reached, medianMs, nineTenthsMs, within } = of.figures(withinS);
        return { to, reached, medianMs, nineTenthsMs, within };
      })
      .sort((one, other) => other.reached - one.reached),
    byKey: byKey.all().map(([key, of]) => {
      const [sheetId, choice] = key.split(' ') as [SheetId, Choice];
      return { sheetId, choice, ...of.figures(withinS) };
    }),
    byHour: byHour
      .all()
      .map(([hour, of]) => ({ hour, ...of.figures(withinS) }))
      .sort((one, other) => one.hour - other.hour),
    longest,
  };
}

/** Those that are told stay in their order, the longest first. */
function keepLongest(longest: AnsweredFigures['longest'][number][], call: AnsweredFigures['longest'][number]): void {
  if (longest.length === longestTold && call.toPersonMs <= (longest.at(-1)?.toPersonMs ?? 0)) return;
  longest.push(call);
  longest.sort((one, other) => other.toPersonMs - one.toPersonMs);
  if (longest.length > longestTold) longest.pop();
}

/** How long it took, of calls that are added one by one. */
class Times {
  private readonly times: number[] = [];
  private lost = 0;
  private inOrder: readonly number[] | null = null;

  add(toPersonMs: number | null, isLost: boolean): void {
    if (toPersonMs !== null) this.times.push(toPersonMs);
    if (isLost) this.lost += 1;
  }

  sorted(): readonly number[] {
    // Numbers in an array of their own kind are sorted without being compared one by one in here.
    return (this.inOrder ??= Array.from(Float64Array.from(this.times).sort()));
  }

  figures(withinS: number): AnswerTimes {
    const sorted = this.sorted();
    return {
      reached: sorted.length,
      lost: this.lost,
      medianMs: quantile(sorted, 0.5),
      nineTenthsMs: quantile(sorted, 0.9),
      within: upTo(sorted, withinS * 1000),
    };
  }
}

/** Calls told apart, in the order in which the first of each kind was added. */
class Groups<Key> {
  private readonly groups = new Map<Key, Times>();

  of(key: Key): Times {
    let group = this.groups.get(key);
    if (!group) this.groups.set(key, (group = new Times()));
    return group;
  }

  all(): readonly (readonly [Key, Times])[] {
    return [...this.groups];
  }
}

/** How many of them are no longer than that. */
function upTo(sorted: readonly number[], ms: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? 0) <= ms) low = middle + 1;
    else high = middle;
  }
  return low;
}

function stretchesOf(sorted: readonly number[]): AnsweredFigures['stretches'] {
  const until = (seconds: number): number => upTo(sorted, seconds * 1000);
  const ends = stretchEndsS.map((untilS, index) => ({
    untilS,
    calls: until(untilS) - (index > 0 ? until(stretchEndsS[index - 1] ?? 0) : 0),
  }));
  return [...ends, { untilS: null, calls: sorted.length - until(stretchEndsS.at(-1) ?? 0) }];
}
