import {
  codePattern,
  groupLimits,
  groupOrders,
  longestName,
  personId,
  rotaLimits,
  type GroupOrder,
  type PersonId,
} from '@locutor/core/directory';
import { minutesOfDay, type Weekday } from '@locutor/core/hours';
import {
  ChoiceField,
  OrEmpty,
  OrNull,
  PartField,
  PartsField,
  PatternField,
  PatternsField,
  PhoneNumberField,
  RevisionField,
  TextField,
  WeekdaysField,
  WholeField,
  YesNoField,
} from '../problems/fields';
import { MembershipDto } from './membership.dto';

const notPerson = 'That is not the id of a person.';
const datePattern = /^\d{4}-\d{2}-\d{2}$/;

class RotaSwapDto {
  @PatternField({ pattern: datePattern, says: 'A date is written as 2026-11-30.' })
  date: string;

  @PatternField({ pattern: personId.pattern, says: notPerson })
  personId: PersonId;
}

class RotaDto {
  @PatternsField({
    pattern: personId.pattern,
    says: 'Say whose turns there are by their ids.',
    most: rotaLimits.turns,
    mayRepeat: true,
  })
  turns: PersonId[];

  @PatternField({ pattern: datePattern, says: 'A date is written as 2026-11-30.' })
  from: string;

  @WeekdaysField({ name: 'The weekdays on which the turns change' })
  handoverOn: Weekday[];

  @WholeField({ name: 'The minute of the day at which the turns change', least: 0, most: minutesOfDay - 1 })
  handoverMin: number;

  @PartsField({
    of: RotaSwapDto,
    says: 'The swaps must be a list.',
    most: rotaLimits.swaps,
    tooMany: `At most ${rotaLimits.swaps} days can be swapped.`,
  })
  swaps: RotaSwapDto[];

  @YesNoField({ name: 'Whether the others are rung too' })
  thenOthers: boolean;
}

class GroupDetailsDto extends MembershipDto {
  @OrEmpty()
  @PhoneNumberField({ optional: true })
  directNumber?: string;

  @ChoiceField({ of: groupOrders, says: `Members are rung ${groupOrders.join(', ')}.`, optional: true })
  order?: GroupOrder;

  @OrNull()
  @PartField({ of: RotaDto, says: 'Say of the rota whose turns there are, and when they change.', optional: true })
  rota?: RotaDto | null;

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
