import { longestName } from '@locutor/core/directory';
import type { Weekday } from '@locutor/core/hours';
import { longestAddress, starterIds, type StarterId } from '@locutor/core/line';
import { ArrayUnique } from 'class-validator';
import { TimeZoneField } from '../lines/line.dto';
import { extensionRule } from '../people/person.dto';
import {
  ChoiceField,
  PartsField,
  PatternField,
  PhoneNumberField,
  TextField,
  WeekdaysField,
  WholeField,
} from '../problems/fields';

export class StartPersonDto {
  @TextField({ name: 'The name', most: longestName })
  name: string;

  @PatternField(extensionRule)
  extension: string;
}

export class StartDto {
  @TextField({ name: 'The name of the business', most: longestName })
  name: string;

  @PhoneNumberField()
  number: string;

  @TimeZoneField()
  timeZone: string;

  @WeekdaysField({ name: 'The open days' })
  openDays: Weekday[];

  @WholeField({ name: 'The opening time, in minutes after midnight,', least: 0, most: 1439 })
  opensMin: number;

  /** Not after `opensMin`: then of the next day. */
  @WholeField({ name: 'The closing time, in minutes after midnight,', least: 0, most: 1440 })
  closesMin: number;

  /** Where emergency services find whoever calls them from the line. */
  @TextField({ name: 'The emergency address', lines: true, least: 0, most: longestAddress, optional: true })
  emergencyAddress?: string;

  /** The kind of business; without it a key for each person. */
  @ChoiceField({ of: starterIds, says: `The kind of business is one of ${starterIds.join(', ')}.`, optional: true })
  starter?: StarterId;

  /** Who of the people operates the line, counted from 0; the first unless said otherwise. */
  @WholeField({ name: 'Who operates the line', least: 0, most: 7, optional: true })
  operator?: number;

  @ArrayUnique((person: StartPersonDto | null) => person?.extension, { message: 'Two people have the same extension.' })
  @PartsField({
    of: StartPersonDto,
    says: 'The people are missing.',
    tooFew: 'Name at least one person who answers.',
    most: 8,
    tooMany: 'At most eight people here; more can follow in the Directory.',
  })
  people: StartPersonDto[];
}
