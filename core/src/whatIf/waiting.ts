import { meanPatience, shapedPatience, type SeenWait } from '../traffic';

/** How long people wait before they give up, as a share that waits longer than a time. */
export interface WaitingModel {
  /** How many gave up, of how many waits: what it was learned from. */
  readonly gaveUp: number;
  readonly waits: number;
  /** exp(-(t / scale)^shape) wait longer than t; null where too few gave up to tell, and nobody is taken to. */
  readonly weibull: { readonly shape: number; readonly scaleMs: number } | null;
}

export function learnWaiting(waits: readonly SeenWait[]): WaitingModel {
  const shaped = shapedPatience(waits);
  const mean = meanPatience(waits);
  const gaveUp = waits.filter((wait) => wait.gaveUp).length;
  const weibull = shaped
    ? { shape: shaped.shape, scaleMs: shaped.scaleMs }
    : mean && { shape: 1, scaleMs: mean.meanMs };
  return { gaveUp, waits: waits.length, weibull };
}

/**
 * How long somebody waits before they give up, in ms, of whom it is known that they waited so long already; Infinity for ever.
 *
 * @param chance from 0 up to 1: the more, the longer
 */
export function drawPatience({ weibull }: WaitingModel, waitedMs: number, chance: number): number {
  if (!weibull) return Infinity;
  const { shape, scaleMs } = weibull;
  const before = (waitedMs / scaleMs) ** shape;
  return scaleMs * (before - Math.log(1 - chance)) ** (1 / shape);
}
