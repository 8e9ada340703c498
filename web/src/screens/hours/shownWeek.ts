import type { DatedWeekId, SeasonId } from '@locutor/core/hours';

/** Which week of some hours is shown; null for the regular one. */
export type ShownWeek = SeasonId | DatedWeekId | null;
