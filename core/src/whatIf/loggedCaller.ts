import type { Outcome } from '../call';
import type { GroupId, QueueId } from '../directory';
import type { CallId } from '../exchange';
import type { DayNumber } from '../hours';
import type { RingEnd, Visit, Wait, Who } from '../traffic';

/** What the log tells of one caller that a trial of another plan goes by. */
export interface LoggedCaller {
  readonly callId: CallId;
  /** By the line's clock. */
  readonly day: DayNumber;
  readonly minute: number;
  /** The number they called from, or `anonymous`. */
  readonly number: string;
  readonly outcome: Outcome;
  /** What they did in each sheet, in order. */
  readonly visits: readonly Visit[];
  readonly waits: readonly Pick<Wait, 'queueId' | 'waitedMs' | 'end'>[];
  readonly rings: readonly LoggedRing[];
  /** How long they talked, with all who answered. */
  readonly talkMs: number;
}

export interface LoggedRing {
  readonly who: Who;
  readonly through: GroupId | QueueId | null;
  readonly forMs: number;
  readonly end: RingEnd;
}
