import { codePattern, groupLimits, longestName, ringingOrders, type RingingOrder } from '@locutor/core/directory';
import {
  ChoiceField,
  OrEmpty,
  OrNull,
  PatternField,
  PhoneNumberField,
  RevisionField,
  TextField,
  WholeField,
} from '../problems/fields';
import { MembershipDto } from './membership.dto';

class GroupDetailsDto extends MembershipDto {
  @OrEmpty()
  @PhoneNumberField({ optional: true })
  directNumber?: string;

  @ChoiceField({ of: ringingOrders, says: `Members are rung ${ringingOrders.join(', ')}.`, optional: true })
  order?: RingingOrder;

  @OrNull()
  @WholeField({ name: 'How long the group is rung, in seconds,', ...groupLimits.inAllSeconds, optional: true })
  inAllSeconds?: number | null;

  @OrEmpty()
  @PatternField({ pattern: codePattern, says: 'A code has 2 to 6 digits, perhaps after a star.', optional: true })
  speakerCode?: string;
}

export class AddGroupDto extends GroupDetailsDto {
  @TextField({ name: 'The name of the group', most: longestName })
  name: string;
}

export class ChangeGroupDto extends GroupDetailsDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the group', most: longestName, optional: true })
  name?: string;
}
