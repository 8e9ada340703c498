import type { Interval } from './intervals';

/**
 * How long callers were seen to wait. Who gave up tells how long they would wait; who was answered, or let go, would have waited
 * at least so long (a censored sample).
 */
export interface SeenWait {
  readonly waitedMs: number;
  readonly gaveUp: boolean;
}

/** From a time on this share of callers waits still. */
export interface StillWaiting {
  readonly fromMs: number;
  /** From 0 to 1. */
  readonly share: number;
}

/**
 * What share of callers would wait longer than a time, whatever their patience is spread like: the product-limit estimate of
 * E. L. Kaplan and P. Meier (1958). It ends at the longest wait that was seen, above 0 where nobody gave up then.
 */
export function stillWaiting(waits: readonly SeenWait[]): readonly StillWaiting[] {
  const sorted = [...waits].sort((one, other) => one.waitedMs - other.waitedMs);
  const steps: StillWaiting[] = [{ fromMs: 0, share: 1 }];
  let share = 1;
  for (let from = 0; from < sorted.length;) {
    const atMs = sorted[from]?.waitedMs ?? 0;
    let to = from;
    while (sorted[to]?.waitedMs === atMs) to += 1;
    const gaveUp = sorted.slice(from, to).filter((wait) => wait.gaveUp).length;
    if (gaveUp > 0) {
      // Those who were answered at that very moment waited still.
      share *= 1 - gaveUp / (sorted.length - from);
      steps.push({ fromMs: atMs, share });
    }
    from = to;
  }
  return steps;
}

/** How long half of the callers would wait at the most, by that estimate; null where fewer gave up. In ms. */
export function medianPatience(steps: readonly StillWaiting[]): number | null {
  return steps.find(({ share }) => share <= 0.5)?.fromMs ?? null;
}

/** Patience as a formula has it, and between what and what it lies at 95 %. */
export interface Patience {
  readonly meanMs: number;
  readonly between: Interval;
}

/** Fewer who gave up tell nothing of how long the others would wait. */
const leastGivenUp = 5;

/**
 * Patience that runs out at every moment alike (exponential), by maximum likelihood: all time that was waited, by how many gave up.
 * Null where too few gave up to tell.
 */
export function meanPatience(waits: readonly SeenWait[]): Patience | null {
  const gaveUp = waits.filter((wait) => wait.gaveUp).length;
  const waitedMs = waits.reduce((sum, wait) => sum + wait.waitedMs, 0);
  if (gaveUp < leastGivenUp || waitedMs <= 0) return null;
  const meanMs = waitedMs / gaveUp;
  // The logarithm of the mean is spread about as 1 over the root of how many gave up.
  const times = Math.exp(1.959964 / Math.sqrt(gaveUp));
  return { meanMs, between: { low: meanMs / times, high: meanMs * times } };
}

/**
 * Patience that grows or shrinks while they wait (Weibull): a share of exp(-(t / scale)^shape) waits longer than t. `shape` is
 * below 1 where many give up at once and the others stay, above 1 where all lose patience at about the same time.
 */
export interface ShapedPatience {
  readonly shape: number;
  readonly scaleMs: number;
  /** Where the shape lies at 95 %: where 1 lies within, nothing speaks against the simpler formula. */
  readonly shapeBetween: Interval;
}

/** Nobody gives up before they know that they wait. */
const leastMs = 100;
const shapes = { least: 0.05, most: 20 } as const;

/** By maximum likelihood; null where too few gave up, or all at the same moment. */
export function shapedPatience(waits: readonly SeenWait[]): ShapedPatience | null {
  const times = waits.map(({ waitedMs, gaveUp }) => ({ seconds: Math.max(leastMs, waitedMs) / 1000, gaveUp }));
  const given = times.filter(({ gaveUp }) => gaveUp).map(({ seconds }) => seconds);
  if (given.length < leastGivenUp || Math.max(...given) - Math.min(...given) < 1e-9) return null;
  const meanLog = given.reduce((sum, seconds) => sum + Math.log(seconds), 0) / given.length;
  /** Falls with the shape, and is 0 where the likelihood is greatest. */
  const slope = (shape: number): number => {
    const { weights, logs } = weighed(times, shape);
    return 1 / shape + meanLog - logs / weights;
  };
  let [low, high] = [shapes.least, shapes.most] as [number, number];
  if (slope(low) <= 0 || slope(high) >= 0) return null;
  for (let step = 0; step < 80; step += 1) {
    const middle = (low + high) / 2;
    if (slope(middle) > 0) low = middle;
    else high = middle;
  }
  const shape = (low + high) / 2;
  const { weights } = weighed(times, shape);
  const scaleMs = 1000 * (weights / given.length) ** (1 / shape);
  // How sharply the likelihood falls beside it tells how sure it is.
  const step = shape * 1e-4;
  const curve = (given.length * (slope(shape - step) - slope(shape + step))) / (2 * step);
  const reach = 1.959964 / Math.sqrt(Math.max(1e-12, curve));
  return { shape, scaleMs, shapeBetween: { low: Math.max(0, shape - reach), high: shape + reach } };
}

function weighed(
  times: readonly { readonly seconds: number }[],
  shape: number,
): { readonly weights: number; readonly logs: number } {
  let [weights, logs] = [0, 0];
  for (const { seconds } of times) {
    const weight = seconds ** shape;
    weights += weight;
    logs += weight * Math.log(seconds);
  }
  return { weights, logs };
}
