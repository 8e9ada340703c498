import { idKind, type Id } from '../id';

export type HoursId = Id<'hours'>;
export const hoursId = idKind('hours');

export type PeriodId = Id<'period'>;
export const periodId = idKind('period');

export type SeasonId = Id<'season'>;
export const seasonId = idKind('season');

export type DatedWeekId = Id<'week'>;
export const datedWeekId = idKind('week');

export type SpecialDateId = Id<'special'>;
export const specialDateId = idKind('special');
