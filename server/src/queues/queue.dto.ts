import {
  exitKeys,
  longestName,
  queueLimits,
  ringingOrders,
  type ExitKey,
  type OfferOrder,
} from '@locutor/core/directory';
import { greetingId, longestWords, type GreetingId } from '@locutor/core/line';

import { MembershipDto } from '../groups/membership.dto';
import {
  ChoiceField,
  OrNull,
  PartsField,
  PatternField,
  RevisionField,
  TextField,
  WholeField,
  YesNoField,
} from '../problems/fields';

const orders: readonly OfferOrder[] = [...ringingOrders, 'pick'];
const greetingRule = { pattern: greetingId.pattern, says: 'That is not the id of a greeting.', optional: true };

export class WaitingPartDto {
  @ChoiceField({ of: ['music', 'words', 'greeting'], says: 'Waiting callers hear music, words or a greeting.' })
  type: 'music' | 'words' | 'greeting';

  /** For music. */
  @WholeField({ name: 'How long the music plays, in seconds,', ...queueLimits.musicSeconds, optional: true })
  seconds?: number;

  /** For words. */
  @TextField({ name: 'What is said while waiting', lines: true, most: longestWords, optional: true })
  words?: string;

  /** For a greeting. */
  @PatternField(greetingRule)
  greetingId?: GreetingId;
}

class QueueDetailsDto extends MembershipDto {
  @ChoiceField({ of: orders, says: `Members are offered calls ${orders.join(', ')}.`, optional: true })
  order?: OfferOrder;

  @TextField({ name: 'What is said on entry', lines: true, least: 0, most: longestWords, optional: true })
  entryWords?: string;

  @PartsField({
    of: WaitingPartDto,
    says: 'What is heard while waiting must be a list.',
    most: queueLimits.waitingParts,
    tooMany: `At most ${queueLimits.waitingParts} stretches while waiting.`,
    optional: true,
  })
  waiting?: WaitingPartDto[];

  @OrNull()
  @WholeField({ name: 'How often the place is said, in seconds,', ...queueLimits.placeEverySeconds, optional: true })
  placeEverySeconds?: number | null;

  @YesNoField({ name: 'Says the expected wait', optional: true })
  saysExpectedWait?: boolean;

  @WholeField({ name: 'When a member is tried again, in seconds,', ...queueLimits.retrySeconds, optional: true })
  retrySeconds?: number;

  @WholeField({ name: 'The most callers', ...queueLimits.mostCallers, optional: true })
  mostCallers?: number;

  @WholeField({ name: 'The longest wait, in seconds,', ...queueLimits.longestWaitSeconds, optional: true })
  longestWaitSeconds?: number;

  @OrNull()
  @ChoiceField({ of: exitKeys, says: 'The key that leaves the queue is one of 0 to 9, * and #.', optional: true })
  exitKey?: ExitKey | null;

  @OrNull()
  @PatternField(greetingRule)
  holdGreetingId?: GreetingId | null;

  @YesNoField({ name: 'Paused', optional: true })
  paused?: boolean;
}

export class AddQueueDto extends QueueDetailsDto {
  @TextField({ name: 'The name of the queue', most: longestName })
  name: string;
}

export class ChangeQueueDto extends QueueDetailsDto {
  @RevisionField()
  revision: number;

  @TextField({ name: 'The name of the queue', most: longestName, optional: true })
  name?: string;
}
