import { ApiProperty } from '@nestjs/swagger';
import { IsObject } from 'class-validator';
import { RevisionField } from '../problems/fields';

export class SaveDraftDto {
  @RevisionField()
  revision: number;

  /** Checked by core, which knows what must hold. */
  @IsObject({ message: 'The attendant is missing.' })
  @ApiProperty({ type: 'object', additionalProperties: true, description: 'See the schema Attendant' })
  attendant: Record<string, unknown>;
}
