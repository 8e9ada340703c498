import type { Interval } from '../traffic';

/** A mean over runs, and between what the mean of ever more runs would lie at 95 % (Student's t). */
export interface Mean {
  readonly mean: number;
  readonly between: Interval;
}

/** Of no runs it is 0. One run tells nothing of how far others lie: it is given as it is. */
export function meanOf(values: readonly number[]): Mean {
  const count = values.length;
  if (count === 0) return { mean: 0, between: { low: 0, high: 0 } };
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  if (count === 1) return { mean, between: { low: mean, high: mean } };
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const reach = studentT(count - 1) * Math.sqrt(squares / (count - 1) / count);
  return { mean, between: { low: mean - reach, high: mean + reach } };
}

/**
 * A share of all, pooled over runs of different sizes, and between what it lies at 95 % (the ratio estimator of samplings by clusters,
 * with Student's t). Of nothing it is 1.
 */
export function pooledShare(runs: readonly { readonly part: number; readonly all: number }[]): Mean {
  const all = runs.reduce((sum, run) => sum + run.all, 0);
  if (all === 0) return { mean: 1, between: { low: 1, high: 1 } };
  const mean = runs.reduce((sum, run) => sum + run.part, 0) / all;
  const count = runs.length;
  if (count === 1) return { mean, between: { low: mean, high: mean } };
  const squares = runs.reduce((sum, run) => sum + (run.part - mean * run.all) ** 2, 0);
  const reach = (studentT(count - 1) * Math.sqrt(squares / (count - 1) / count)) / (all / count);
  return { mean, between: { low: Math.max(0, mean - reach), high: Math.min(1, mean + reach) } };
}

const tOfFew = [12.706, 4.303, 3.182, 2.776] as const;

/** The 97.5 % point of Student's t: as in the tables up to 4 degrees of freedom, then by its expansion about the normal one. */
export function studentT(freedom: number): number {
  const known = tOfFew[freedom - 1];
  if (known !== undefined) return known;
  const z = 1.959964;
  const [z3, z5, z7] = [z ** 3, z ** 5, z ** 7];
  return (
    z +
    (z3 + z) / (4 * freedom) +
    (5 * z5 + 16 * z3 + 3 * z) / (96 * freedom ** 2) +
    (3 * z7 + 19 * z5 + 17 * z3 - 15 * z) / (384 * freedom ** 3)
  );
}
