import { longestName } from '@locutor/core/directory';
import { hoursId, isTimeZone, type HoursId } from '@locutor/core/hours';
import { isOperatorId, lineId, longestAddress, type LineId, type OperatorId } from '@locutor/core/line';
import { dayRule } from '../contacts/contact.dto';
import { CheckedField, OrNull, PatternField, PhoneNumberField, RevisionField, TextField } from '../problems/fields';

export function TimeZoneField({ optional = false } = {}): PropertyDecorator {
  return CheckedField({
    optional,
    check: isTimeZone,
    says: (value) => `“${String(value)}” is not a time zone. Choose one such as America/New_York.`,
  });
}

const hoursRule = { pattern: hoursId.pattern, says: 'That is not the id of hours.', optional: true };

const addressRule = { name: 'The emergency address', least: 0, most: longestAddress, optional: true };

function OperatorField(): PropertyDecorator {
  return CheckedField({
    optional: true,
    check: isOperatorId,
    says: () => 'The operator is a person or a group.',
  });
}

export class AddLineDto {
  @TextField({ name: 'The name of the line', most: longestName })
  name: string;

  @PhoneNumberField()
  number: string;

  @TimeZoneField()
  timeZone: string;

  /** The line whose attendant and hours the new one begins with; without it, it begins with one menu. */
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.', optional: true })
  copyOf?: LineId;

  /** Hours shared with others; without them the new line has hours of its own, named after it. */
  @PatternField(hoursRule)
  hoursId?: HoursId;

  /** Where emergency services find whoever calls them from the line. */
  @TextField(addressRule)
  emergencyAddress?: string;

  /** Who operates it, a person or a group. */
  @OrNull()
  @OperatorField()
  operatorId?: OperatorId | null;
}

/** The line whose number is taken, and which gets this one's. */
export class ExchangeNumbersDto {
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.' })
  with: LineId;
}

export class ChangeLineDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the line', most: longestName, optional: true })
  name?: string;

  @PhoneNumberField({ optional: true })
  number?: string;

  @TimeZoneField({ optional: true })
  timeZone?: string;

  @PatternField(hoursRule)
  hoursId?: HoursId;

  @OrNull()
  @PatternField(dayRule)
  serviceFrom?: string | null;

  @OrNull()
  @PatternField(dayRule)
  serviceUntil?: string | null;

  @TextField(addressRule)
  emergencyAddress?: string;

  /** Who operates it, a person or a group; null for nobody. */
  @OrNull()
  @OperatorField()
  operatorId?: OperatorId | null;
}
