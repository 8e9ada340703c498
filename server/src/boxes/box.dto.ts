import { longestName } from '@locutor/core/directory';
import { greetingId, type GreetingId } from '@locutor/core/line';
import { OrNull, PatternField, RevisionField, TextField, WholeField } from '../problems/fields';

const greetingRule = { pattern: greetingId.pattern, says: 'That is not the id of a greeting.' };
const lengthRule = { name: 'The longest message, in seconds,', least: 10, most: 600 };

export class AddBoxDto {
  @TextField({ name: 'The name of the box', most: longestName })
  name: string;

  @OrNull()
  @PatternField(greetingRule)
  greetingId: GreetingId | null;

  @WholeField(lengthRule)
  longestMessageSeconds: number;
}

export class ChangeBoxDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the box', most: longestName, optional: true })
  name?: string;

  @PatternField({ ...greetingRule, optional: true })
  greetingId?: GreetingId | null;

  @WholeField({ ...lengthRule, optional: true })
  longestMessageSeconds?: number;
}
