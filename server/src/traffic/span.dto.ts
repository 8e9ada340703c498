import { lineId, type LineId } from '@locutor/core/line';
import { Type } from 'class-transformer';
import { ChoiceField, PatternField, WholeField } from '../problems/fields';

const date = /^[12]\d{3}-\d{2}-\d{2}$/;

/** Which calls are counted: of a line or of all, on the days from one to another, both included, by each line's own clock. */
export class SpanQuery {
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.', optional: true })
  lineId?: LineId;

  @PatternField({ pattern: date, says: 'The first day is written as in 2026-11-24.' })
  from: string;

  @PatternField({ pattern: date, says: 'The last day is written as in 2026-11-24.' })
  to: string;
}

/** The same, and in how many seconds callers are to be answered. */
export class AnsweredQuery extends SpanQuery {
  @Type(() => Number)
  @WholeField({ name: 'How many seconds callers may wait', least: 1, most: 600, optional: true })
  within?: number;
}

/** Of which line. */
export class LineQuery {
  @PatternField({ pattern: lineId.pattern, says: 'Say which line by its id.' })
  lineId: LineId;
}

/** Which report: of the last whole week or month, of a line or of all. */
export class ReportQuery {
  @ChoiceField({ of: ['week', 'month'], says: 'A report is of a week or a month.' })
  every: 'week' | 'month';

  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.', optional: true })
  lineId?: LineId;
}
