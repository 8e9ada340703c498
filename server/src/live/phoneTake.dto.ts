import { personId } from '@locutor/core/directory';
import { PartsField, PatternField, TextField } from '../problems/fields';
import { BringTakeDto } from '../takes/take.dto';
import { PickType } from '@nestjs/swagger';

/** Something that is recorded with a desk phone. */
class SpokenOnPhoneDto extends PickType(BringTakeDto, ['place', 'text', 'says'] as const) {
  /** What is recorded, as it is said on the phone. */
  @TextField({ name: 'The name of what is recorded', least: 1, most: 200 })
  name: string;
}

/** As many as a session may have. */
const mostMore = 200;

/** Whose desk phone is rung, and what is to be recorded with it. */
export class PhoneTakeDto extends SpokenOnPhoneDto {
  @PatternField({ pattern: personId.pattern, says: 'Say whose phone is to be rung.' })
  personId: string;

  /** What is recorded after it on the same call, each once the one before is kept. */
  @PartsField({
    of: SpokenOnPhoneDto,
    says: 'What else is recorded must be a list.',
    most: mostMore,
    tooMany: `At most ${mostMore} texts can be recorded on one call.`,
    optional: true,
  })
  more?: SpokenOnPhoneDto[];
}
