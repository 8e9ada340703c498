import { longestName } from '@locutor/core/directory';
import { isVoiceId, longestWords, takeId, type TakeId, type TakeUse, type VoiceId } from '@locutor/core/line';
import { ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsOptional, ValidateNested } from 'class-validator';
import { CheckedField, PatternField, RevisionField, TextField, YesNoField } from '../problems/fields';

const nameRule = { name: 'The name of the greeting', most: longestName };
const wordsRule = { name: 'The greeting', most: longestWords };
const voiceRule = {
  check: isVoiceId,
  says: (): string => 'The voice must be one of those shipped, at a pace of 70 to 140 % and a pitch of -4 to 4.',
};

export class TakeUseDto implements TakeUse {
  @PatternField({ pattern: takeId.pattern, says: 'That is not the id of a recording.' })
  takeId: TakeId;

  @YesNoField({ name: 'Whether the voice speaks for now' })
  byVoice: boolean;
}

export class AddGreetingDto {
  @TextField(nameRule)
  name: string;

  @TextField(wordsRule)
  words: string;

  @CheckedField(voiceRule)
  voice: VoiceId;
}

export class ChangeGreetingDto {
  @RevisionField()
  revision: number;

  @TextField({ ...nameRule, optional: true })
  name?: string;

  @TextField({ ...wordsRule, optional: true })
  words?: string;

  @CheckedField({ ...voiceRule, optional: true })
  voice?: VoiceId;

  /** Null takes the recording off. */
  @IsOptional()
  @ValidateNested()
  @Type(() => TakeUseDto)
  @ApiPropertyOptional({ type: TakeUseDto, nullable: true })
  take?: TakeUseDto | null;
}
