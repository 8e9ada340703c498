import { idKind, type Id } from '../id';

export type HoursId = Id<'hours'>;
export const hoursId = idKind('hours');

export type PeriodId = Id<'period'>;
export const periodId = idKind('period');
