import { ApiProperty } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { PatternField, YesNoField } from '../problems/fields';

export class LeaveMessageDto {
  @PatternField({
    pattern: /^(anonymous|\+?[0-9 ()-]{2,24})$/,
    says: 'The caller’s number must be a telephone number, or "anonymous".',
  })
  callerNumber: string;

  /** Whether the call was a trial of the draft; comes as text, since the form carries a file. */
  @IsIn(['true', 'false'], { message: 'Trial must be true or false.' })
  @ApiProperty({ enum: ['true', 'false'] })
  trial: 'true' | 'false';
}

export class MarkMessageDto {
  @YesNoField({ name: 'Heard' })
  heard: boolean;
}
