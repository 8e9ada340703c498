import {
  boxDefaults,
  codePattern,
  longestName,
  mostTold,
  personId,
  tellWays,
  type PersonId,
  type TellBy,
} from '@locutor/core/directory';
import { greetingId, type GreetingId } from '@locutor/core/line';

import {
  ChoiceField,
  OrEmpty,
  OrNull,
  PartsField,
  PatternField,
  RevisionField,
  TextField,
  WholeField,
  YesNoField,
} from '../problems/fields';

const personRule = { pattern: personId.pattern, says: 'That is not the id of a person.' };

export class TellDto {
  @PatternField(personRule)
  personId: PersonId;

  @ChoiceField({ of: tellWays, says: `Somebody is told by ${tellWays.join(', ')}.` })
  by: TellBy;
}

class BoxDetailsDto {
  @OrNull()
  @PatternField({ ...personRule, optional: true })
  ownerId?: PersonId | null;

  @OrNull()
  @PatternField({ pattern: greetingId.pattern, says: 'That is not the id of a greeting.', optional: true })
  greetingId?: GreetingId | null;

  @YesNoField({ name: 'The beep', optional: true })
  beep?: boolean;

  @WholeField({ name: 'The longest message, in seconds,', least: 10, most: 600, optional: true })
  longestMessageSeconds?: number;

  @PartsField({
    of: TellDto,
    says: 'Who is told must be a list.',
    most: mostTold,
    tooMany: `At most ${mostTold} people can be told.`,
    optional: true,
  })
  tell?: TellDto[];

  @OrEmpty()
  @PatternField({ pattern: codePattern, says: 'A code has 2 to 6 digits, perhaps after a star.', optional: true })
  code?: string;

  /** Asked for on the phone before messages are heard. Never sent back. */
  @PatternField({ pattern: /^[0-9]{4,8}$/, says: 'A PIN has 4 to 8 digits.', optional: true })
  pin?: string;
}

export class AddBoxDto extends BoxDetailsDto {
  @TextField({ name: 'The name of the box', most: longestName })
  name: string;
}

export class ChangeBoxDto extends BoxDetailsDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the box', most: longestName, optional: true })
  name?: string;
}

/** A box as it is until somebody says otherwise. */
export const newBox = { ...boxDefaults, tell: [] };
