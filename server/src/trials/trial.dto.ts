import { momentLimits } from '@locutor/core/hours';
import { keys, type Key } from '@locutor/core/line';
import { ApiPropertyOptional } from '@nestjs/swagger';

import { IsObject } from 'class-validator';
import { ChoiceField, IfSent, PartField, PartsField, PatternField, TextField, WholeField } from '../problems/fields';
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
  @WholeField({ name: 'The moment of the call, in ms since 1970,', ...momentLimits })
  atMs: number;

  @PatternField({
    pattern: /^(anonymous|\+[0-9]{2,15})$/,
    says: 'The caller’s number must be like +12075550178, or "anonymous".',
  })
  callerNumber: string;

  @PartsField({
    of: CallerActDto,
    says: 'What the caller does must be a list.',
    most: 500,
    tooMany: 'A caller does at most 500 things.',
  })
  caller: CallerActDto[];

  /** What staff do who are not named. */
  @PartField({ of: StaffActDto, says: 'What staff do is missing.' })
  staff: StaffActDto;

  /** What those do who are named, by the id of a person or contact, or by a number as +12075550161. */
  @IfSent()
  @IsObject({ message: 'Named staff must be an object.' })
  @ApiPropertyOptional({ type: 'object', additionalProperties: { $ref: '#/components/schemas/StaffActDto' } })
  named?: Record<string, StaffActDto>;
}

export class TrialsDto {
  @ChoiceField({ of: ['draft', 'onAir'], says: 'Call the “draft” or what is “onAir”.' })
  of: Which;

  @PartsField({
    of: TrialDto,
    says: 'The trials are missing.',
    tooFew: 'There is no trial.',
    most: mostTrials,
    tooMany: `At most ${mostTrials} trials at once.`,
  })
  trials: TrialDto[];
}
