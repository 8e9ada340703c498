import type { CallId } from '../exchange';
import type { GroupId, QueueId } from '../directory';
import type { SheetId } from '../line';
import { quantile, quantileInterval, shareInterval, type Interval } from './intervals';
import { Most } from './most';
import type { Who } from './rings';
import type { Choice } from './visits';
import type { DayOfCalls } from './dayOfCalls';
import { fateOf } from './when';

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
 * @param days one after the other, each looked at once: there may be very many calls
 * @param withinS in how many seconds callers are to be answered
 */
export function answeredFigures(days: Iterable<Omit<DayOfCalls, 'day'>>, withinS: number): AnsweredFigures {
  const all = new Times();
  const [byWay, byHour] = [new Groups<GroupId | QueueId | Who>(), new Groups<number>()];
  const byKey = new Map<SheetId, Groups<Choice>>();
  const longest = new Most<AnsweredFigures['longest'][number]>(longestTold);
  let [calls, messages] = [0, 0];
  const ofSheet = (id: SheetId): Groups<Choice> => {
    let sheet = byKey.get(id);
    if (!sheet) byKey.set(id, (sheet = new Groups()));
    return sheet;
  };
  for (const { calls: ofDay, idOf } of days) {
    for (let at = 0; at < ofDay.length; at += 1) {
      const call = ofDay[at];
      const fate = call && fateOf[call.outcome];
      if (!call || fate === 'aside') continue;
      const { minute, toPersonMs, way, firstSheetId, firstChoice } = call;
      calls += 1;
      if (fate === 'message') messages += 1;
      const isLost = fate === 'lost';
      all.add(toPersonMs, isLost);
      if (way !== null) byWay.of(way).add(toPersonMs, isLost);
      if (firstSheetId !== null && firstChoice !== null) ofSheet(firstSheetId).of(firstChoice).add(toPersonMs, isLost);
      byHour.of(Math.floor(minute / 60)).add(toPersonMs, isLost);
      if (toPersonMs !== null) longest.add(toPersonMs, () => ({ callId: idOf(at), toPersonMs }));
    }
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
    byKey: [...byKey].flatMap(([sheetId, choices]) =>
      choices.all().map(([choice, of]) => ({ sheetId, choice, ...of.figures(withinS) })),
    ),
    byHour: byHour
      .all()
      .map(([hour, of]) => ({ hour, ...of.figures(withinS) }))
      .sort((one, other) => one.hour - other.hour),
    longest: longest.all(),
  };
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
