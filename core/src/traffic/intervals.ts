/** The normal deviate for 95 %, both sides. */
const z95 = 1.959964;

/** Between what and what a figure lies, at 95 %. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/**
 * Where the share lies of which `hits` of `all` are a sample (Wilson's score interval): right for few calls, and for shares
 * close to 0 or 1. All from 0 to 1 where there is no sample.
 */
export function shareInterval(hits: number, all: number): Interval {
  if (all <= 0) return { low: 0, high: 1 };
  const share = hits / all;
  const spread = z95 ** 2 / all;
  const middle = share + spread / 2;
  const reach = z95 * Math.sqrt((share * (1 - share)) / all + spread / (4 * all));
  const within = (value: number): number => Math.min(1, Math.max(0, value));
  return { low: within((middle - reach) / (1 + spread)), high: within((middle + reach) / (1 + spread)) };
}

/** How sure it is that a share differs between two samples. */
export interface ShareChange extends Interval {
  /** From the first to the second, from -1 to 1. */
  readonly by: number;
  /** Whether there are too few calls to tell: no change lies within the interval, too. */
  readonly isUnsure: boolean;
}

/** By how much a share changed from one sample to another (Newcombe's interval, of both samples' score intervals). */
export function shareChange(before: Sample, after: Sample): ShareChange {
  const [was, is] = [shareOf(before), shareOf(after)];
  const [first, second] = [shareInterval(before.hits, before.all), shareInterval(after.hits, after.all)];
  const by = is - was;
  const low = by - Math.hypot(is - second.low, first.high - was);
  const high = by + Math.hypot(second.high - is, was - first.low);
  const isUnsure = before.all === 0 || after.all === 0 || (low <= 0 && high >= 0);
  return { by, low: Math.max(-1, low), high: Math.min(1, high), isUnsure };
}

/** So many of so many. */
export interface Sample {
  readonly hits: number;
  readonly all: number;
}

function shareOf({ hits, all }: Sample): number {
  return all > 0 ? hits / all : 0;
}

/**
 * Where a quantile lies, such as the median wait, whatever the values are spread like: between the values at two ranks
 * (binomial, by its normal limit). Null for too few to tell.
 * @param sorted from the least to the largest
 * @param at from 0 to 1, such as 0.5
 */
export function quantileInterval(sorted: readonly number[], at: number): Interval | null {
  const count = sorted.length;
  const reach = z95 * Math.sqrt(count * at * (1 - at));
  const low = sorted[Math.floor(count * at - reach) - 1];
  const high = sorted[Math.ceil(count * at + reach)];
  return low === undefined || high === undefined ? null : { low, high };
}

/** The value that a share of all does not exceed (the nearest rank); null of none. `sorted` from the least to the largest. */
export function quantile(sorted: readonly number[], at: number): number | null {
  const rank = Math.max(1, Math.ceil(at * sorted.length));
  return sorted[rank - 1] ?? null;
}
