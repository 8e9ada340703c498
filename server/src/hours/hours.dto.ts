import { longestPeriodName, mostPeriods, mostWeekSpans, periodId } from '@locutor/core/hours';
import type { PeriodId, Weekday } from '@locutor/core/hours';
import { ApiPropertyOptional } from '@nestjs/swagger';

import { IsArray } from 'class-validator';
import { IfSent, PartsField, PatternField, RevisionField, TextField, WholeField, YesNoField } from '../problems/fields';

export class PeriodDto {
  @PatternField({ pattern: periodId.pattern, says: 'A period needs an id such as period:open.' })
  id: PeriodId;

  @TextField({ name: 'The name of a period', most: longestPeriodName })
  name: string;
}

export class WeekSpanDto {
  @PatternField({ pattern: periodId.pattern, says: 'A time needs the id of its period.' })
  periodId: PeriodId;

  @WholeField({ name: 'The day', least: 1, most: 7 })
  day: Weekday;

  @WholeField({ name: 'The start, in minutes after midnight,', least: 0, most: 1439 })
  startMin: number;

  @WholeField({ name: 'The end, in minutes after midnight,', least: 1, most: 2879 })
  endMin: number;
}

class WeekDto {
  @PartsField({
    of: PeriodDto,
    says: 'The periods are missing.',
    most: mostPeriods,
    tooMany: `There can be at most ${mostPeriods} periods.`,
  })
  periods: PeriodDto[];

  @PartsField({
    of: WeekSpanDto,
    says: 'The week is missing.',
    most: mostWeekSpans,
    tooMany: `The week can hold at most ${mostWeekSpans} times.`,
  })
  week: WeekSpanDto[];

  /** Left out, they stay as they are. */
  @IfSent()
  @IsArray({ message: 'The weeks from a date on were not understood.' })
  @ApiPropertyOptional({ type: [Object], description: 'id, name, from (YYYY-MM-DD), week' })
  datedWeeks?: unknown[];

  /** Left out, they stay as they are. */
  @IfSent()
  @IsArray({ message: 'The seasons were not understood.' })
  @ApiPropertyOptional({
    type: [Object],
    description: 'id, name, from and to (month, day), years (first, last) if not every one, week',
  })
  seasons?: unknown[];

  /** Left out, they stay as they are. */
  @IfSent()
  @IsArray({ message: 'The special dates were not understood.' })
  @ApiPropertyOptional({ type: [Object], description: 'id, name, when, moved, hours, words' })
  special?: unknown[];

  /** Left out, it stays as it is. */
  @YesNoField({ name: 'Whether callers are told the breaks', optional: true })
  breaksSaid?: boolean;
}

const nameRule = { name: 'The name of the hours', most: longestPeriodName };

export class ChangeHoursDto extends WeekDto {
  @RevisionField()
  revision: number;

  @TextField({ ...nameRule, optional: true })
  name?: string;
}

export class AddHoursDto extends WeekDto {
  @TextField(nameRule)
  name: string;
}
