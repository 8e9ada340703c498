import { dayPattern, longestName } from '@locutor/core/directory';
import { OrNull, PatternField, PhoneNumberField, RevisionField, TextField } from '../problems/fields';

export const dayRule = { pattern: dayPattern, says: 'A day is written like 2026-05-15.', optional: true };

class ServiceDto {
  @OrNull()
  @PatternField(dayRule)
  serviceFrom?: string | null;

  @OrNull()
  @PatternField(dayRule)
  serviceUntil?: string | null;
}

export class AddContactDto extends ServiceDto {
  @TextField({ name: 'The name', most: longestName })
  name: string;

  @PhoneNumberField()
  number: string;
}

export class ChangeContactDto extends ServiceDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name', most: longestName, optional: true })
  name?: string;

  @PhoneNumberField({ optional: true })
  number?: string;
}
