import {
  extensionPattern,
  membershipLimits,
  personId,
  ringsOn,
  type PersonId,
  type RingsOn,
} from '@locutor/core/directory';
import { hoursId, type HoursId } from '@locutor/core/hours';
import { longestWords } from '@locutor/core/line';

import {
  ChoiceField,
  OrEmpty,
  OrNull,
  PartsField,
  PatternField,
  TextField,
  WholeField,
  YesNoField,
} from '../problems/fields';

export class MemberDto {
  @PatternField({ pattern: personId.pattern, says: 'That is not the id of a person.' })
  personId: PersonId;

  @WholeField({ name: 'The tier', ...membershipLimits.tier })
  tier: number;
}

/** What groups and queues have in common. */
export class MembershipDto {
  @OrEmpty()
  @PatternField({ pattern: extensionPattern, says: 'An extension has 2 to 6 digits.', optional: true })
  extension?: string;

  @PartsField({
    of: MemberDto,
    says: 'The members must be a list.',
    most: membershipLimits.members,
    tooMany: `At most ${membershipLimits.members} members.`,
    optional: true,
  })
  members?: MemberDto[];

  @WholeField({ name: 'How long a member is rung, in seconds,', ...membershipLimits.memberSeconds, optional: true })
  memberSeconds?: number;

  @WholeField({ name: 'The rest after a call, in seconds,', ...membershipLimits.restSeconds, optional: true })
  restSeconds?: number;

  @ChoiceField({ of: ringsOn, says: `Members are rung on one of ${ringsOn.join(', ')}.`, optional: true })
  ringsOn?: RingsOn;

  @YesNoField({ name: 'Only members who are working', optional: true })
  workingOnly?: boolean;

  @OrNull()
  @PatternField({ pattern: hoursId.pattern, says: 'That is not the id of hours.', optional: true })
  hoursId?: HoursId | null;

  @TextField({ name: 'The words while it is closed', lines: true, least: 0, most: longestWords, optional: true })
  closedWords?: string;

  @TextField({ name: 'The words on special dates', lines: true, least: 0, most: longestWords, optional: true })
  specialWords?: string;
}
