import { outcomes, type Outcome } from '@locutor/core/call';
import { momentLimits } from '@locutor/core/hours';
import { lineId, type LineId } from '@locutor/core/line';
import { Type } from 'class-transformer';
import { ChoiceField, PatternField, TextField, WholeField } from '../problems/fields';

/** Which calls of the log are wanted; all of them when nothing is said. */
export class CallsQuery {
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.', optional: true })
  lineId?: LineId;

  @ChoiceField({ of: outcomes, says: `A call came to one of ${outcomes.join(', ')}.`, optional: true })
  outcome?: Outcome;

  /** Part of the caller's number, of the id of who answered, or of what was said in the call. */
  @TextField({ name: 'What is searched', least: 0, most: 80, optional: true })
  search?: string;

  /** In ms since 1970. */
  @Type(() => Number)
  @WholeField({ name: 'The first moment, in ms since 1970,', ...momentLimits, optional: true })
  fromMs?: number;

  @Type(() => Number)
  @WholeField({ name: 'The last moment, in ms since 1970,', ...momentLimits, optional: true })
  toMs?: number;

  @Type(() => Number)
  @WholeField({ name: 'How many to pass over', least: 0, most: 1_000_000, optional: true })
  skip?: number;

  /** The first day, by the line's clock; with it and the next only calls are found that Traffic counts. */
  @PatternField({
    pattern: /^[12]\d{3}-\d{2}-\d{2}$/,
    says: 'The first day is written as in 2026-11-24.',
    optional: true,
  })
  from?: string;

  /** The last day. */
  @PatternField({
    pattern: /^[12]\d{3}-\d{2}-\d{2}$/,
    says: 'The last day is written as in 2026-11-24.',
    optional: true,
  })
  to?: string;

  /** Monday is 1. */
  @Type(() => Number)
  @WholeField({ name: 'The day of the week', least: 1, most: 7, optional: true })
  weekday?: number;

  @Type(() => Number)
  @WholeField({ name: 'The hour of the day', least: 0, most: 23, optional: true })
  hour?: number;
}
