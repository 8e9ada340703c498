/** Wrong PINs of one caller at one box, one after the other. */
export interface PinTries {
  readonly count: number;
  /** Until when no further one is tried. */
  readonly pausedUntilMs: number;
}

export const noTries: PinTries = { count: 0, pausedUntilMs: 0 };

/** So many are tried without a pause; after that the pause doubles with each, to an hour. */
const freeTries = 5;
const firstPauseMs = 60_000;
const longestPauseMs = 3_600_000;
/** What was wrong so long ago is not held against anybody. */
export const triesForgottenAfterMs = 24 * 3_600_000;

/** How long to wait until another PIN is tried, in ms; 0 when it may be now. */
export function pauseLeft({ pausedUntilMs }: PinTries, nowMs: number): number {
  return Math.max(0, pausedUntilMs - nowMs);
}

/** One more that is wrong. */
export function afterWrongPin({ count }: PinTries, nowMs: number): PinTries {
  const wrong = count + 1;
  const pauseMs = wrong < freeTries ? 0 : Math.min(longestPauseMs, firstPauseMs * 2 ** (wrong - freeTries));
  return { count: wrong, pausedUntilMs: nowMs + pauseMs };
}
