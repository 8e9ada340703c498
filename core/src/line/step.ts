import type { BoxId, ContactId, GroupId, NamePart, PersonId, QueueId, Tell } from '../directory';
import type { GreetingId, LineId, NamedPathId, SheetId } from './ids';

/** Words typed in place, or a greeting of the library. */
export type Spoken =
  { readonly type: 'typed'; readonly words: string } | { readonly type: 'greeting'; readonly greetingId: GreetingId };

/** What the caller hears while it rings: the ringback tone, hold music, or a greeting of the library over and over. */
export type Hearing =
  | { readonly type: 'ringback' }
  | { readonly type: 'music' }
  | { readonly type: 'greeting'; readonly greetingId: GreetingId };

/** Whom an outside call goes to: somebody of the directory, or a number typed in place. */
export type Outside =
  | { readonly type: 'contact'; readonly contactId: ContactId }
  /** As typed; a draft may hold one that is no number yet. */
  | { readonly type: 'number'; readonly number: string };

interface Ringing {
  /** 5 to 300 s in all, a ring being 6 s; null rings with no limit, so that no later step can run. */
  readonly seconds: number | null;
  /** Said before it rings, and only if it will; 0 to 3,000 characters. */
  readonly before: string;
  readonly hear: Hearing;
}

/** Rings a person, through their phones in their order; nobody answering lets the next step run. */
export type RingStep = Ringing & {
  readonly type: 'ring';
  readonly personId: PersonId;
  /** Whether phones that are for on call only ring too; left out when not. */
  readonly onCall?: boolean;
};

/** Rings whoever operates the line, a person or a group; nobody answering, or nobody named, lets the next step run. */
export type RingOperatorStep = Omit<Ringing, 'seconds'> & {
  readonly type: 'ringOperator';
  /** 5 to 300 s. */
  readonly seconds: number;
};

/** Rings an outside number; nobody answering lets the next step run. */
export type RingOutsideStep = Ringing & {
  readonly type: 'ringOutside';
  readonly to: Outside;
  /** Whether the person who answers must press 1, so that the number's own voicemail does not swallow the call. */
  readonly accept: boolean;
};

/** Rings the members of a group in its order; nobody answering lets the next step run. */
export interface RingGroupStep {
  readonly type: 'ringGroup';
  readonly groupId: GroupId;
  /** 5 to 600 s in all; null for as long as the group says. */
  readonly seconds: number | null;
  /** Said before it rings; 0 to 3,000 characters. */
  readonly before: string;
  readonly hear: Hearing;
}

/** Lets the caller wait in a queue. What happens to those it does not connect is said by its own paths, then here. */
export interface WaitInQueueStep {
  readonly type: 'waitInQueue';
  readonly queueId: QueueId;
}

/** Hands the call over to an outside number for good; the path goes on when it is not taken there. */
export interface HandOverStep {
  readonly type: 'handOver';
  readonly to: Outside;
  /** Said before; 0 to 3,000 characters. */
  readonly before: string;
}

/** Hands the caller over to another line's attendant, as if they had rung it; always ends the path. */
export interface ToLineStep {
  readonly type: 'toLine';
  readonly lineId: LineId;
}

/** Says something during which keys do nothing, then goes on. */
export interface SayStep {
  readonly type: 'say';
  readonly spoken: Spoken;
}

/** Takes a message in a box; always ends the path. */
export interface TakeMessageStep {
  readonly type: 'takeMessage';
  readonly boxId: BoxId;
  /** Whether a tone is heard before the caller speaks; null as the box says. */
  readonly beep: boolean | null;
  /** Who is told of the message; null as the box says. */
  readonly tell: readonly Tell[] | null;
}

/** Goes to another sheet; always ends the path. */
export interface GoToStep {
  readonly type: 'goTo';
  readonly sheetId: SheetId;
}

/** Goes back to the menu the caller was in before this one, or says this one again; goes on outside of menus. */
export interface BackStep {
  readonly type: 'back';
}

/** Says the sheet the caller is in once more; goes on where there is none. */
export interface SayAgainStep {
  readonly type: 'sayAgain';
}

/** Lets the caller spell a name on the keypad and rings who is meant; nobody found or answering lets the next run. */
export interface SearchByNameStep {
  readonly type: 'searchByName';
  readonly by: NamePart;
  /** How long the person is rung, 5 to 300 s. */
  readonly seconds: number;
}

/** Lets the caller dial an extension and rings it; nobody having it or answering lets the next step run. */
export interface AskExtensionStep {
  readonly type: 'askExtension';
  /** How long the person is rung, 5 to 300 s. */
  readonly seconds: number;
}

/** Takes the steps of a path that has a name of its own, then goes on with the next step here. */
export interface FollowPathStep {
  readonly type: 'followPath';
  readonly pathId: NamedPathId;
}

/** Starts or stops recording the call from here on. */
export interface RecordStep {
  readonly type: 'record';
  readonly on: boolean;
  /** Whether the caller is told before it starts. */
  readonly tells: boolean;
}

/** Says goodbye, if there are words for it, and hangs up. */
export interface HangUpStep {
  readonly type: 'hangUp';
  readonly words: string;
}

export type Step =
  | RingStep
  | RingOperatorStep
  | RingOutsideStep
  | RingGroupStep
  | WaitInQueueStep
  | HandOverStep
  | ToLineStep
  | SayStep
  | TakeMessageStep
  | GoToStep
  | BackStep
  | SayAgainStep
  | SearchByNameStep
  | AskExtensionStep
  | FollowPathStep
  | RecordStep
  | HangUpStep;
export type StepType = Step['type'];

/** Steps taken in order until one of them ends the path. */
export type Path = readonly Step[];

export const secondsPerRing = 6;
export const shortestRingSeconds = 5;
export const longestRingSeconds = 300;
export const defaultRingSeconds = 24;
export const mostSteps = 20;
export const longestTypedNumber = 40;
/** After about this long an outside number's own voicemail tends to answer. */
export const ownVoicemailSeconds = 25;

export const ringDefaults = { seconds: defaultRingSeconds, before: '', hear: { type: 'ringback' } } as const;
export const messageDefaults = { beep: null, tell: null } as const;

/**
 * Whether a step ends the path by itself, whoever answers: a hand-over does not, since it may not be taken there. A path of
 * its own name is asked with `pathEnds`.
 */
export function alwaysEnds(step: Step): boolean {
  switch (step.type) {
    case 'takeMessage':
    case 'goTo':
    case 'back':
    case 'sayAgain':
    case 'toLine':
    case 'hangUp':
      return true;
    case 'ring':
    case 'ringOutside':
      return step.seconds === null;
    case 'ringOperator':
    case 'ringGroup':
    case 'waitInQueue':
    case 'say':
    case 'searchByName':
    case 'askExtension':
    case 'followPath':
    case 'record':
    case 'handOver':
      return false;
  }
}
