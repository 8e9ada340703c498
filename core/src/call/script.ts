import type { Box, CallerList, Contact, E164, Group, Person, Queue } from '../directory';
import type { Hours, TimeZone } from '../hours';
import type { Attendant, Greeting, LineId } from '../line';

/** A line as a call sees it. */
export interface LineScript {
  readonly id: LineId;
  readonly number: E164;
  readonly timeZone: TimeZone;
  readonly hours: Hours;
  readonly attendant: Attendant;
}

/** Everything a call goes by: lines, and what their steps refer to. Does not change during a call. */
export interface CallScript {
  /** The line that is dialled. */
  readonly lineId: LineId;
  /** That line, and those it can hand over to. */
  readonly lines: readonly LineScript[];
  readonly people: readonly Person[];
  readonly groups: readonly Group[];
  readonly queues: readonly Queue[];
  readonly boxes: readonly Box[];
  readonly contacts: readonly Contact[];
  readonly callerLists: readonly CallerList[];
  readonly greetings: readonly Greeting[];
  /** The sets of hours that people keep. */
  readonly hours: readonly Hours[];
}
