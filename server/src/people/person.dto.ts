import {
  emailPattern,
  extensionPattern,
  longestEmail,
  longestName,
  mostPhones,
  personId,
  phoneSeconds,
  type PersonId,
} from '@locutor/core/directory';
import { mostTakenIn } from '@locutor/core/formats';
import { hoursId, mostWeekSpans, type HoursId } from '@locutor/core/hours';
import { OmitType } from '@nestjs/swagger';
import { WeekSpanDto } from '../hours/hours.dto';
import { PartialType } from '@nestjs/swagger';

import {
  ChoiceField,
  OrEmpty,
  OrNull,
  PartsField,
  PatternField,
  PhoneNumberField,
  RevisionField,
  TextField,
  WholeField,
  YesNoField,
} from '../problems/fields';

export const extensionRule = { pattern: extensionPattern, says: 'An extension has 2 to 6 digits.' };

export class PersonPhoneDto {
  @ChoiceField({ of: ['desk', 'outside'], says: 'A phone is “desk” or “outside”.' })
  type: 'desk' | 'outside';

  @WholeField({ name: 'How long a phone rings, in seconds,', ...phoneSeconds })
  seconds: number;

  /** For an outside phone. */
  @PhoneNumberField({ optional: true })
  number?: string;

  /** For an outside phone: whether they must press 1 to take the call. */
  @YesNoField({ name: 'Press 1 to accept', optional: true })
  accept?: boolean;

  /** Whether it rings only for groups and steps that are for on call. */
  @YesNoField({ name: 'Only when on call', optional: true })
  onCallOnly?: boolean;

  /** The hours in which it rings; left out when it rings at any. */
  @PatternField({ pattern: hoursId.pattern, says: 'The hours of a phone need their id.', optional: true })
  hoursId?: HoursId;
}

class OwnSpanDto extends OmitType(WeekSpanDto, ['periodId'] as const) {}

class PersonDetailsDto {
  @TextField({ name: 'How the name is said', least: 0, most: longestName, optional: true })
  saidAs?: string;

  @PartsField({
    of: PersonPhoneDto,
    says: 'The phones must be a list.',
    tooFew: 'Everybody needs at least one phone.',
    most: mostPhones,
    tooMany: `At most ${mostPhones} phones.`,
    optional: true,
  })
  phones?: PersonPhoneDto[];

  @OrEmpty()
  @PatternField({ pattern: emailPattern, says: 'That is not an e-mail address.', most: longestEmail, optional: true })
  email?: string;

  @OrEmpty()
  @PhoneNumberField({ optional: true })
  mobile?: string;

  @YesNoField({ name: 'Found by name', optional: true })
  inDirectory?: boolean;

  @OrNull()
  @PatternField({ pattern: hoursId.pattern, says: 'That is not the id of hours.', optional: true })
  hoursId?: HoursId | null;

  @YesNoField({ name: 'Whether they set their own hours', optional: true })
  setsOwnHours?: boolean;
}

export class AddPersonDto extends PersonDetailsDto {
  @TextField({ name: 'The name', most: longestName })
  name: string;

  @PatternField(extensionRule)
  extension: string;
}

export class ChangePersonDto extends PersonDetailsDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name', most: longestName, optional: true })
  name?: string;

  @PatternField({ ...extensionRule, optional: true })
  extension?: string;
}

/** When somebody works, by their own word. */
export class OwnHoursDto {
  @PartsField({
    of: OwnSpanDto,
    says: 'The week is missing.',
    most: mostWeekSpans,
    tooMany: `The week can hold at most ${mostWeekSpans} times.`,
  })
  week: OwnSpanDto[];
}

/** One row of a spreadsheet or one card: somebody new, or with an id somebody known who is changed. */
export class TakeInPersonDto extends PartialType(AddPersonDto, { skipNullProperties: false }) {
  @PatternField({ pattern: personId.pattern, says: 'That is not the id of a person.', optional: true })
  id?: PersonId;
}

export class TakeInPeopleDto {
  @PartsField({
    of: TakeInPersonDto,
    says: 'The people are missing.',
    tooFew: 'There is nobody to take in.',
    most: mostTakenIn,
    tooMany: `At most ${mostTakenIn} people at once.`,
  })
  people: TakeInPersonDto[];
}
