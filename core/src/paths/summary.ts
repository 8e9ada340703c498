import type { Way } from './way';

/** How soon callers reach a person, over all ways on which one can be reached. */
export interface WaysSummary {
  /** For a caller who knows the keys. */
  readonly soonestMs: number;
  /** For a caller who listens, on the way that takes longest until it rings. */
  readonly latestMs: number;
  /** Ways that end without anybody having been rung. */
  readonly withoutPerson: number;
  /** Ways that end at all, not in a further menu. */
  readonly ends: number;
}

/** Best and worst of all ways; undefined when nobody can be reached at all. */
export function summaryOf(ways: readonly Way[]): WaysSummary | undefined {
  const reaching = ways.flatMap(({ personMs, quickPersonMs }) =>
    personMs && quickPersonMs !== null ? [{ first: quickPersonMs, last: personMs.soonestMs }] : [],
  );
  if (reaching.length === 0) return undefined;
  const ends = ways.filter(({ end }) => end.type !== 'menu' && end.type !== 'again');
  return {
    soonestMs: Math.min(...reaching.map(({ first }) => first)),
    latestMs: Math.max(...reaching.map(({ last }) => last)),
    withoutPerson: ends.filter((way) => !hasRung(way, ways)).length,
    ends: ends.length,
  };
}

/** Whether somebody was rung on a way, or before it. */
function hasRung({ personMs, parent }: Way, ways: readonly Way[]): boolean {
  const before = parent === null ? undefined : ways[parent];
  return personMs !== null || (before !== undefined && hasRung(before, ways));
}
