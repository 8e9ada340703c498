import { boxId, callerListId, contactId, groupId, personId, queueId } from '@locutor/core/directory';
import { idPattern } from '@locutor/core/id';
import { greetingId, lineId, type ReferredId } from '@locutor/core/line';
import { OrNull, PatternField, YesNoField } from '../problems/fields';

const anyId = idPattern(personId, groupId, queueId, boxId, contactId, callerListId, greetingId, lineId);

export class ReplacementDto {
  @PatternField({ pattern: anyId, says: 'That is not the id of anything that can be replaced.' })
  from: ReferredId;

  /** Of the same kind; null to take a person out of groups, queues, boxes and lists of who is told. */
  @OrNull()
  @PatternField({ pattern: anyId, says: 'That is not the id of anything that can be put there.' })
  to: ReferredId | null;

  /** Whether it is deleted once nothing needs it. */
  @YesNoField({ name: 'Whether it is deleted', optional: true })
  remove?: boolean;
}
