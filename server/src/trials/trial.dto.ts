import { keys, type Key } from '@locutor/core/line';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsObject,
  IsOptional,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { ChoiceField, PatternField, TextField, WholeField } from '../problems/fields';
import type { Which } from './scripts.service';

const dayMs = 86_400_000;
export const mostTrials = 1000;
const staffActs = ['answer', 'busy', 'voicemail', 'noAnswer'] as const;

export class CallerActDto {
  @ChoiceField({ of: ['press', 'speak', 'hangUp'], says: 'A caller can press, speak or hangUp.' })
  type: 'press' | 'speak' | 'hangUp';

  @WholeField({ name: 'When the caller does it, in ms after the line answered,', least: 0, most: dayMs })
  afterMs: number;

  @ChoiceField({ of: keys, says: 'A key is one of 0 to 9, * and #.', optional: true })
  key?: Key;

  @TextField({ name: 'What the caller says', most: 200, optional: true })
  words?: string;
}

export class StaffActDto {
  @ChoiceField({ of: staffActs, says: `Staff do one of ${staffActs.join(', ')}.` })
  type: (typeof staffActs)[number];

  @WholeField({ name: 'After how long they answer, in ms,', least: 0, most: dayMs, optional: true })
  afterMs?: number;

  @WholeField({ name: 'How long they talk, in ms,', least: 0, most: dayMs, optional: true })
  talkMs?: number;
}

export class TrialDto {
  /** In ms since 1970. */
  @IsInt({ message: 'The moment of the call must be in ms since 1970.' })
  @Min(0)
  @Max(8.64e15)
  @ApiProperty({ type: 'integer', description: 'The moment of the call, in ms since 1970' })
  atMs: number;

  @PatternField({
    pattern: /^(anonymous|\+[0-9]{2,15})$/,
    says: 'The caller’s number must be like +12075550178, or "anonymous".',
  })
  callerNumber: string;

  @IsArray({ message: 'What the caller does must be a list.' })
  @ArrayMaxSize(500, { message: 'A caller does at most 500 things.' })
  @ValidateNested({ each: true })
  @Type(() => CallerActDto)
  @ApiProperty({ type: [CallerActDto] })
  caller: CallerActDto[];

  /** What staff do who are not named. */
  @ValidateNested()
  @Type(() => StaffActDto)
  @ApiProperty({ type: StaffActDto })
  staff: StaffActDto;

  /** What those do who are named, by the id of a person or contact, or by a number as +12075550161. */
  @IsOptional()
  @IsObject({ message: 'Named staff must be an object.' })
  @ApiPropertyOptional({ type: 'object', additionalProperties: { $ref: '#/components/schemas/StaffActDto' } })
  named?: Record<string, StaffActDto>;
}

export class TrialsDto {
  @ChoiceField({ of: ['draft', 'onAir'], says: 'Call the “draft” or what is “onAir”.' })
  of: Which;

  @IsArray({ message: 'The trials are missing.' })
  @ArrayMinSize(1, { message: 'There is no trial.' })
  @ArrayMaxSize(mostTrials, { message: `At most ${mostTrials} trials at once.` })
  @ValidateNested({ each: true })
  @Type(() => TrialDto)
  @ApiProperty({ type: [TrialDto] })
  trials: TrialDto[];
}
