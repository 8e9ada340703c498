import type { PersonId } from '../directory';
import type { LineId } from '../line';

export const reportTimes = ['never', 'week', 'month'] as const;

/** Who gets a report of Traffic by e-mail, and how often: of the last whole week or month, when it is over. */
export interface ReportPlan {
  readonly every: (typeof reportTimes)[number];
  /** Of which line; null for all together. */
  readonly lineId: LineId | null;
  readonly tell: readonly PersonId[];
}

export const noReport: ReportPlan = { every: 'never', lineId: null, tell: [] };
