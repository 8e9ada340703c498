import type { Box, CallerList, Contact, E164, Group, OutgoingLimits, Person, Queue } from '../directory';
import type { Hours, Switch, TimeZone } from '../hours';
import { englishClockOf, type SpokenFacts } from '../speech';
import { clipIn, recordingsOf } from './textRecordings';
import {
  saidHours,
  type Attendant,
  type Greeting,
  type HoldMusic,
  type LineId,
  type OperatorId,
  type RecordedTake,
  type TextRecording,
} from '../line';

/** A line as a call sees it. */
export interface LineScript {
  readonly id: LineId;
  /** The business's name as callers know it. */
  readonly name: string;
  readonly number: E164;
  readonly timeZone: TimeZone;
  readonly hours: Hours;
  readonly attendant: Attendant;
  /** Who operates the line; null for nobody yet. */
  readonly operatorId: OperatorId | null;
  /** The switch last set; null where none is. */
  readonly switched: Switch | null;
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
  /** The recordings that sheets and greetings may be heard from. */
  readonly takes: readonly RecordedTake[];
  /** The recordings of other texts than theirs; left out where there are none. */
  readonly recordings?: readonly TextRecording[];
  /** What is played to those who wait or are on hold. */
  readonly holdMusic: HoldMusic;
  /** What outside numbers may be called, and how many at once. */
  readonly outgoing: OutgoingLimits;
  /** The sets of hours that people keep. */
  readonly hours: readonly Hours[];
  /** Whether a call tells each step it takes, passed over or not; for those who ask where calls come to. */
  readonly tellsSteps?: boolean;
}

/** What live parts of a line's words are made from, at a moment in ms since 1970. */
export function spokenFacts(script: CallScript, line: LineScript, atMs: number): SpokenFacts {
  const hours = saidHours(line, line.attendant);
  const recordings = recordingsOf(script.recordings);
  const takeOf: SpokenFacts['takeOf'] = (id) => script.takes.findLast((take) => take.id === id);
  return {
    business: line.name,
    atMs,
    zone: line.timeZone,
    clock: englishClockOf(line),
    hours,
    hoursOf: (id) => (id === hours.id ? hours : script.hours.find((each) => each.id === id)),
    personOf: (id) => script.people.find((person) => person.id === id),
    takeOf,
    clipOf: (language, words) => clipIn(recordings, takeOf, language, words),
  };
}

const unswitched = new WeakMap<CallScript, CallScript>();

/** A script in which no line's switch is set. The same one for the same script, so that what was made ready lasts. */
export function withoutSwitch(script: CallScript): CallScript {
  if (script.lines.every(({ switched }) => switched === null)) return script;
  let made = unswitched.get(script);
  if (!made) {
    made = { ...script, lines: script.lines.map((line) => ({ ...line, switched: null })) };
    unswitched.set(script, made);
  }
  return made;
}
