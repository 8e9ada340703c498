import { ApiProperty } from '@nestjs/swagger';
import { IsObject } from 'class-validator';
import { RevisionField } from '../problems/fields';

/** A draft as it comes in; an interface, so that the attendant is read by core alone. */
export interface SavedDraft {
  readonly revision: number;
  readonly attendant: unknown;
}

export class SaveDraftDto {
  @RevisionField()
  revision: number;

  /** Checked by core, which knows what must hold. */
  @IsObject({ message: 'The attendant is missing.' })
  @ApiProperty({ type: 'object', additionalProperties: true, description: 'See the schema Attendant' })
  attendant: Record<string, unknown>;
}
