import { boxId, personId, type BoxId, type PersonId } from '@locutor/core/directory';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn, IsJSON, MaxLength } from 'class-validator';
import { IfSent, PatternField, YesNoField } from '../problems/fields';

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
  @IfSent()
  @IsJSON({ message: 'Who is told must be JSON.' })
  @MaxLength(5000)
  @ApiPropertyOptional({ type: String })
  tell?: string;
}

export class MarkMessageDto {
  @YesNoField({ name: 'Heard' })
  heard: boolean;
}

export class ForwardMessageDto {
  @PatternField({ pattern: boxId.pattern, says: 'That is not the id of a box.', optional: true })
  boxId?: BoxId;

  @PatternField({ pattern: personId.pattern, says: 'That is not the id of a person.', optional: true })
  personId?: PersonId;
}
