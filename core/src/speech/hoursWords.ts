import type { DayTime, Opening, Weekday } from '../hours';

/** How one language says times and days. */
export interface HoursWords {
  /** From when to when, over midnight too. */
  readonly range: (time: DayTime) => string;
  /** Days that are alike; runs of three or more are said from first to last. */
  readonly days: (runs: readonly DayRun[]) => string;
  readonly and: string;
  readonly everyDay: string;
  readonly aroundTheClock: string;
  /** Said after a range that ends no earlier in the day than it began. */
  readonly nextDay: string;
  /** Nothing on this day, or on any. */
  readonly closed: string;
  readonly opening: (opening: Opening) => string;
}

/** Days that follow each other; a single one is its own first and last. */
export interface DayRun {
  readonly first: Weekday;
  readonly last: Weekday;
}

/** Things in a row, the last with "and". */
export function joinWords(parts: readonly string[], and: string): string {
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} ${and} ${parts.at(-1) ?? ''}`;
}
