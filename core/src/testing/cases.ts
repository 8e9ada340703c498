import type { Parameters } from 'fast-check';

/** Whether property tests try all their cases with fresh seeds, as `npm run test:long` has them do. */
export const isLong = process.env.LOCUTOR_LONG === '1';

/** The seed of every ordinary run, so that the same cases are tried each time. */
const usualSeed = 20_261_123;

const usualPart = 8;
const leastCases = 25;

/**
 * How many cases a property test tries: all of them in a long run; in an ordinary one an eighth, 25 at least, the same
 * ones each time.
 */
export function cases<Values>(all: number): Parameters<Values> {
  if (isLong) return { numRuns: all };
  return { numRuns: Math.min(all, Math.max(leastCases, Math.ceil(all / usualPart))), seed: usualSeed };
}
