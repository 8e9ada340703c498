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
import { hoursId, type HoursId } from '@locutor/core/hours';
import { ApiProperty, ApiPropertyOptional, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, ValidateNested } from 'class-validator';
import {
  ChoiceField,
  OrEmpty,
  OrNull,
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
}

class PersonDetailsDto {
  @TextField({ name: 'How the name is said', least: 0, most: longestName, optional: true })
  saidAs?: string;

  @IsOptional()
  @IsArray({ message: 'The phones must be a list.' })
  @ArrayMinSize(1, { message: 'Everybody needs at least one phone.' })
  @ArrayMaxSize(mostPhones, { message: `At most ${mostPhones} phones.` })
  @ValidateNested({ each: true })
  @Type(() => PersonPhoneDto)
  @ApiPropertyOptional({ type: [PersonPhoneDto] })
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

/** One row of a spreadsheet or one card: somebody new, or with an id somebody known who is changed. */
export class TakeInPersonDto extends PartialType(AddPersonDto) {
  @PatternField({ pattern: personId.pattern, says: 'That is not the id of a person.', optional: true })
  id?: PersonId;
}

export class TakeInPeopleDto {
  @IsArray({ message: 'The people are missing.' })
  @ArrayMinSize(1, { message: 'There is nobody to take in.' })
  @ArrayMaxSize(mostTakenIn, { message: `At most ${mostTakenIn} people at once.` })
  @ValidateNested({ each: true })
  @Type(() => TakeInPersonDto)
  @ApiProperty({ type: [TakeInPersonDto] })
  people: TakeInPersonDto[];
}
