import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn, IsJSON, IsOptional, MaxLength } from 'class-validator';
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

  /** Who is told of it, as JSON, since the form carries a file; without it whom the box names. */
  @IsOptional()
  @IsJSON({ message: 'Who is told must be JSON.' })
  @MaxLength(5000)
  @ApiPropertyOptional({ type: String })
  tell?: string;
}

export class MarkMessageDto {
  @YesNoField({ name: 'Heard' })
  heard: boolean;
}
