import type { Measures, SoundFault } from '../audio';
import type {
  Box,
  BoxId,
  CallerList,
  Contact,
  Group,
  GroupId,
  OutgoingLimits,
  Person,
  PersonId,
  Queue,
  QueueId,
} from '../directory';
import type { Hours, SpecialDateId, Switch } from '../hours';
import type {
  Attendant,
  Edit,
  Greeting,
  GreetingId,
  Line,
  LineId,
  OwnVoice,
  SheetId,
  Slot,
  TakeId,
  TakeSays,
  TakeVerdict,
  TextRecording,
  Unpressed,
} from '../line';
import { slotKey } from '../line';

/** A recording as the proof knows it. */
export interface ProofTake {
  readonly id: TakeId;
  readonly says: TakeSays;
  readonly faults: readonly SoundFault[];
  /** What is known of whether it says that; left out or null where nobody has listened to it. */
  readonly verdict?: TakeVerdict | null;
  readonly lengthMs: number;
  /** What was measured of it as callers hear it; left out where that is not known. */
  readonly made?: { readonly after: Pick<Measures, 'lufs'> };
}

/** A line, this one or another, and what callers of it hear. */
export interface ProofLine {
  readonly id: LineId;
  readonly name: string;
  readonly number: string;
  readonly serviceFrom: string | null;
  readonly serviceUntil: string | null;
  /** What is on air; null while nothing is. */
  readonly onAir: Attendant | null;
}

/** What is read: a draft, and what it refers to as it is now. */
export interface ProofSubject {
  readonly attendant: Attendant;
  /** The line whose attendant it is. */
  readonly line: Line;
  /** Today by the line's calendar, as `2026-11-23`. */
  readonly today: string;
  /** The line's hours. */
  readonly hours: Hours;
  /** Every set of hours. */
  readonly allHours: readonly Hours[];
  readonly people: readonly Person[];
  readonly groups: readonly Group[];
  readonly queues: readonly Queue[];
  readonly boxes: readonly Box[];
  readonly contacts: readonly Contact[];
  readonly callerLists: readonly CallerList[];
  /** What outside numbers may be called. */
  readonly outgoing: OutgoingLimits;
  readonly greetings: readonly Greeting[];
  readonly takes: readonly ProofTake[];
  /** The recordings of other texts; left out where there are none. */
  readonly recordings?: readonly TextRecording[];
  /** The voices of the business's own that are there; left out where that is not known. */
  readonly ownVoices?: readonly OwnVoice[];
  /** All lines, this one among them. */
  readonly lines: readonly ProofLine[];
  /** Names of people who have left. */
  readonly leavers: readonly string[];
  /** Where the line's switch leads while it is on, and what it says first; left out or null while it is off. */
  readonly switched?: Pick<Switch, 'to' | 'words'> | null;
  /** How long callers may be without a person, a message or a place in a queue, in s; three minutes where it is left out. */
  readonly mostAloneSeconds?: number;
  /** Keys of what is on air that nobody pressed for long; left out where no call is known. */
  readonly unpressed?: Unpressed;
}

/** A fault stops going on air; a caution needs a yes; a tip can be silenced. */
export type Grade = 'fault' | 'caution' | 'tip';
export const grades: readonly Grade[] = ['fault', 'caution', 'tip'];

/** What comes of it for callers, the worst first. */
export const consequences = ['lost', 'wrongPlace', 'waits', 'misled', 'unheard', 'office'] as const;
export type Consequence = (typeof consequences)[number];

/** Where a finding is. */
export type FindingPlace =
  | { readonly type: 'sheet'; readonly sheetId: SheetId }
  | { readonly type: 'path'; readonly slot: Slot; readonly stepIndex: number | null }
  | { readonly type: 'line' }
  | { readonly type: 'switch' }
  /** The line's hours, or one of their special dates. */
  | { readonly type: 'hours'; readonly specialId: SpecialDateId | null }
  | { readonly type: 'row'; readonly id: PersonId | GroupId | QueueId | BoxId | GreetingId };

/** What a sentence about a finding needs to know besides its place. */
export type Facts = Readonly<Record<string, string | number>>;

/** What mends something in the directory or the hours, which take effect at once. */
export type RowFix =
  | {
      readonly type: 'queue';
      readonly id: Queue['id'];
      readonly changes: Partial<Pick<Queue, 'paused' | 'exitKey' | 'longestWaitSeconds'>>;
    }
  | { readonly type: 'box'; readonly id: Box['id']; readonly changes: Partial<Pick<Box, 'ownerId' | 'tell'>> }
  /** Other words of a special date. */
  | { readonly type: 'special'; readonly id: Hours['id']; readonly specialId: SpecialDateId; readonly words: string };

/** Something that a rule found, and the edit that would mend it, where there is one. */
export interface Found {
  readonly at: FindingPlace;
  readonly facts?: Facts;
  readonly fix?: Edit;
  /** What would mend it where it stands in the directory or the hours. */
  readonly rowFix?: RowFix;
}

/** A rule of the proof. What it finds is data; the sentences are in `words/`. */
export interface Rule<Name extends string = string> {
  readonly name: Name;
  readonly grade: Grade;
  readonly consequence: Consequence;
  find(subject: ProofSubject): readonly Found[];
}

/** A text that tells places apart. */
export function placeKey(at: FindingPlace): string {
  switch (at.type) {
    case 'sheet':
      return at.sheetId;
    case 'path':
      return `${slotKey(at.slot)}${at.stepIndex === null ? '' : ` step ${at.stepIndex}`}`;
    case 'line':
    case 'switch':
      return at.type;
    case 'hours':
      return at.specialId ?? 'hours';
    case 'row':
      return at.id;
  }
}

/** A place as a whole path. */
export const atSlot = (slot: Slot): FindingPlace => ({ type: 'path', slot, stepIndex: null });
