import type { Box, Person } from '../directory';
import type { Hours, TimeZone } from '../hours';
import type { Attendant, Greeting } from '../line';

/** Everything a call goes by: an attendant, and what its steps refer to. Does not change during a call. */
export interface CallScript {
  readonly attendant: Attendant;
  readonly timeZone: TimeZone;
  readonly hours: Hours;
  readonly people: readonly Person[];
  readonly boxes: readonly Box[];
  readonly greetings: readonly Greeting[];
}
