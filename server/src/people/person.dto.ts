import { extensionPattern, longestName } from '@locutor/core/directory';
import { PatternField, RevisionField, TextField } from '../problems/fields';

const extensionRule = { pattern: extensionPattern, says: 'An extension has 2 to 6 digits.' };

export class AddPersonDto {
  @TextField({ name: 'The name', most: longestName })
  name: string;

  @PatternField(extensionRule)
  extension: string;
}

export class ChangePersonDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name', most: longestName, optional: true })
  name?: string;

  @PatternField({ ...extensionRule, optional: true })
  extension?: string;
}
