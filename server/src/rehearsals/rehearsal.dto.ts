import { rehearsalLimits } from '@locutor/core/rehearsals';
import { ApiProperty } from '@nestjs/swagger';

import { ArrayMaxSize, ArrayMinSize, IsArray, IsObject } from 'class-validator';
import { PartsField, RevisionField, TextField } from '../problems/fields';

export class RehearsalDto {
  @TextField({ name: 'The name of the rehearsal', most: rehearsalLimits.name })
  name: string;

  /** When, who calls, what they do, and who answers. */
  @IsObject({ message: 'The scene is missing.' })
  @ApiProperty({ type: 'object', additionalProperties: true })
  scene: Record<string, unknown>;

  /** What must happen. */
  @IsArray({ message: 'What must happen is missing.' })
  @ArrayMinSize(1, { message: 'Say at least one thing that must happen.' })
  @ArrayMaxSize(rehearsalLimits.expects, {
    message: `At most ${rehearsalLimits.expects} things can be said to happen.`,
  })
  @ApiProperty({ type: 'array', items: { type: 'object', additionalProperties: true } })
  expects: Record<string, unknown>[];
}

export class ChangeRehearsalDto extends RehearsalDto {
  @RevisionField()
  revision: number;
}

export class AddRehearsalsDto {
  @PartsField({
    of: RehearsalDto,
    says: 'The rehearsals are missing.',
    tooFew: 'There is no rehearsal.',
    most: rehearsalLimits.most,
    tooMany: `At most ${rehearsalLimits.most} rehearsals.`,
  })
  rehearsals: RehearsalDto[];
}
