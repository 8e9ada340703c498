import { personId } from '@locutor/core/directory';
import { PatternField, TextField } from '../problems/fields';
import { BringTakeDto } from '../takes/take.dto';
import { PickType } from '@nestjs/swagger';

/** Whose desk phone is rung, and what is to be recorded with it. */
export class PhoneTakeDto extends PickType(BringTakeDto, ['place', 'text', 'says'] as const) {
  @PatternField({ pattern: personId.pattern, says: 'Say whose phone is to be rung.' })
  personId: string;

  /** What is recorded, as it is said on the phone. */
  @TextField({ name: 'The name of what is recorded', least: 1, most: 200 })
  name: string;
}
