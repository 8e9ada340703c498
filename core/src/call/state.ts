import type { BoxId, GroupId, NamePart, PersonId, QueueId, Tell } from '../directory';
import type { GreetingId, Hearing, LineId, SheetId, Slot } from '../line';
import type { FinishedTake, MessageToHear, PhoneTake } from './event';
import type { EndReason } from './reasons';
import type { OutsideTarget, Target } from './target';

/** Where in a path a call is. */
export interface Place {
  readonly slot: Slot;
  /** Index of the step that is taken, or to be taken next. */
  readonly stepIndex: number;
  /** Where to go on once a path with a name of its own was taken; null outside of one. */
  readonly then: Place | null;
}

/** How often the caller has failed at the menu they are in. */
export interface Tries {
  /** One more at each round without a key; back to 0 at each sheet. */
  readonly silentRounds: number;
  /** One more at each wrong key; back to 0 at each sheet. */
  readonly wrongKeys: number;
}

/** What comes once the words being said were heard, or once somebody did not answer. */
export type Next =
  | { readonly type: 'path'; readonly place: Place }
  | { readonly type: 'enter'; readonly sheetId: SheetId }
  | { readonly type: 'ring'; readonly ring: RingPlan }
  | { readonly type: 'ringGroup'; readonly ring: GroupPlan }
  | { readonly type: 'queue'; readonly queueId: QueueId; readonly place: Place | null }
  /** The call is recorded from here on, and the path goes on. */
  | { readonly type: 'record'; readonly place: Place }
  | { readonly type: 'handOver'; readonly target: OutsideTarget; readonly place: Place }
  | { readonly type: 'ask'; readonly ask: Ask }
  /** The person whose extension was dialled or name was said did not answer; the menu is null outside of one. */
  | { readonly type: 'unanswered'; readonly personId: PersonId; readonly sheetId: SheetId | null }
  /** A greeting is spoken into a desk phone, after the tone. */
  | { readonly type: 'take'; readonly of: PhoneTake }
  /** The PIN of a box is asked for once more. */
  | { readonly type: 'pin'; readonly boxId: BoxId; readonly wrongPins: number }
  | { readonly type: 'end'; readonly reason: EndReason };

/** Somebody to be rung, and what comes if they do not answer. */
export interface RingPlan {
  readonly target: Target;
  readonly seconds: number | null;
  /** Whether an outside number must accept with 1; for people their phones say it. */
  readonly accept: boolean;
  /** Whether phones for on call only ring too. */
  readonly onCall?: boolean;
  readonly hear: Hearing;
  readonly unanswered: Next;
}

/** What is rung, since a moment: phones are those that rang then, whatever hours end meanwhile. */
export interface BegunRing extends RingPlan {
  readonly sinceMs: number;
}

/** A group to be rung, and what comes if nobody answers. */
export interface GroupPlan {
  readonly groupId: GroupId;
  readonly seconds: number | null;
  readonly hear: Hearing;
  readonly unanswered: Next;
}

/** What a caller is being asked for. */
export type Ask = {
  readonly seconds: number;
  /** How often they were asked already; one more at each answer that leads to nobody. */
  readonly asked: number;
  /** Where the call goes on when nobody is found or answers. */
  readonly place: Place;
} & (
  | { readonly what: 'extension' }
  | { readonly what: 'name'; readonly by: NamePart }
  | { readonly what: 'choice'; readonly by: NamePart; readonly matches: readonly PersonId[]; readonly first: number }
);

/** Nobody has dialled yet. */
export type Idle = { readonly type: 'idle' };
/** Words during which keys do nothing. */
export type Saying = { readonly type: 'saying'; readonly playId: number; readonly next: Next };
/** A menu is being said. */
export type MenuSpeaking = {
  readonly type: 'menuSpeaking';
  readonly sheetId: SheetId;
  readonly playId: number;
  readonly tries: Tries;
  /**
   * What follows: a key is waited for, or the menu is said, where this was that a key has no use or nobody pressed one.
   * Such words are part of the menu: keys count while they are said as they do during the menu.
   */
  readonly then: 'key' | 'menu';
};
/** A menu was said and a key is waited for. */
export type MenuWaiting = {
  readonly type: 'menuWaiting';
  readonly sheetId: SheetId;
  readonly timerId: number;
  readonly tries: Tries;
};
/** A key was pressed in a menu that may be the first digit of an extension; more digits are waited for. */
export type MenuDialling = {
  readonly type: 'menuDialling';
  readonly sheetId: SheetId;
  readonly timerId: number;
  readonly tries: Tries;
  readonly digits: string;
};
/** The caller is being asked for a name, an extension or a choice. */
export type AskSpeaking = { readonly type: 'askSpeaking'; readonly playId: number; readonly ask: Ask };
/** They were asked, and digits are waited for. */
export type AskWaiting = {
  readonly type: 'askWaiting';
  readonly timerId: number;
  readonly ask: Ask;
  readonly digits: string;
};
/** Somebody is being rung. */
export type Ringing = {
  readonly type: 'ringing';
  readonly ring: BegunRing;
  readonly ringId: number;
  /** Null when it rings with no limit. */
  readonly timerId: number | null;
  /** When the ringing is over in all; null with no limit. */
  readonly untilMs: number | null;
  /** Which of the person's phones rings. */
  readonly phoneIndex: number;
};
/** An outside phone was answered; whoever answered must press 1, while the caller hears it ring on. */
export type Accepting = Omit<Ringing, 'type' | 'timerId'> & {
  readonly type: 'accepting';
  readonly timerId: number;
};
/** The members of a group are rung; which of them, the exchange knows. */
export type RingingGroup = { readonly type: 'ringingGroup'; readonly ring: GroupPlan; readonly ringId: number };
/** The call is being handed over to an outside number for good; the caller hears it ring there. */
export type HandingOver = {
  readonly type: 'handingOver';
  readonly target: OutsideTarget;
  readonly handOverId: number;
  /** Ends the try. */
  readonly timerId: number;
  /** Where the call goes on when it is not taken there. */
  readonly place: Place;
};
/** A place in a queue was asked for. */
export type Queuing = {
  readonly type: 'queuing';
  readonly queueId: QueueId;
  readonly waitId: number;
  /** Where the call goes on when the queue does not connect it; null for nowhere. */
  readonly place: Place | null;
  readonly sinceMs: number;
};
/** The caller waits in a queue and hears what it plays. */
export type InQueue = Omit<Queuing, 'type'> & {
  readonly type: 'inQueue';
  readonly playId: number;
  /** What is heard: the words on entry, the place in line, or what is played over and over. */
  readonly hears: 'entry' | 'place' | 'loop';
  /** Ends the longest wait. */
  readonly timerId: number;
  /** Until the place is said again; null when it is not said. */
  readonly placeTimerId: number | null;
};
export type Connected = {
  readonly type: 'connected';
  readonly target: Target;
  /** What the caller hears when put on hold; null for hold music. */
  readonly holdGreetingId: GreetingId | null;
};
/** Who talked to the caller has put them on hold. */
export type OnHold = Omit<Connected, 'type'> & { readonly type: 'onHold'; readonly playId: number };
/** A colleague is asked for the PIN of a box. */
export type PinSpeaking = {
  readonly type: 'pinSpeaking';
  readonly boxId: BoxId;
  readonly playId: number;
  /** One more at each wrong PIN. */
  readonly wrongPins: number;
};
export type PinWaiting = Omit<PinSpeaking, 'type' | 'playId'> & {
  readonly type: 'pinWaiting';
  readonly timerId: number;
  readonly digits: string;
};
export type PinChecking = Omit<PinSpeaking, 'type' | 'playId'> & { readonly type: 'pinChecking' };
/** A colleague hears the messages of a box. */
export type HearingMessages = {
  readonly type: 'hearingMessages';
  readonly playId: number;
  readonly messages: readonly MessageToHear[];
  /** Which of them is heard now. */
  readonly index: number;
};
/** A box's greeting and beep are being heard. */
export type BoxGreeting = {
  readonly type: 'boxGreeting';
  readonly playId: number;
  readonly boxId: BoxId;
  readonly tell: readonly Tell[];
};
/** The caller speaks a message. */
export type Recording = {
  readonly type: 'recording';
  readonly boxId: BoxId;
  readonly tell: readonly Tell[];
  readonly recordingId: number;
  readonly timerId: number;
  readonly sinceMs: number;
};
/** A colleague is told how to record a greeting; the tone follows. */
export type TakeSpeaking = { readonly type: 'takeSpeaking'; readonly playId: number; readonly of: PhoneTake };
/** They speak it. */
export type TakeRecording = {
  readonly type: 'takeRecording';
  readonly recordingId: number;
  readonly timerId: number;
  readonly of: PhoneTake;
};
/** It is being made good. */
export type TakeFinishing = { readonly type: 'takeFinishing'; readonly recordingId: number; readonly of: PhoneTake };
/** They hear it, or what they can do with it. */
export type TakeAsking = {
  readonly type: 'takeAsking';
  readonly playId: number;
  readonly take: FinishedTake;
  /** One more each time they were asked and pressed nothing. */
  readonly asked: number;
  readonly of: PhoneTake;
};
/** They were asked, and a key is waited for. */
export type TakeWaiting = Omit<TakeAsking, 'type' | 'playId'> & {
  readonly type: 'takeWaiting';
  readonly timerId: number;
};
/** A wait is over and the call goes on with a path, within the same step: no call is ever left so. */
export type Onward = { readonly type: 'onward' };
export type Ended = { readonly type: 'ended'; readonly reason: EndReason };

export type Phase =
  | Idle
  | Saying
  | MenuSpeaking
  | MenuWaiting
  | MenuDialling
  | AskSpeaking
  | AskWaiting
  | Ringing
  | Accepting
  | RingingGroup
  | HandingOver
  | Queuing
  | InQueue
  | Connected
  | OnHold
  | PinSpeaking
  | PinWaiting
  | PinChecking
  | HearingMessages
  | BoxGreeting
  | Recording
  | TakeSpeaking
  | TakeRecording
  | TakeFinishing
  | TakeAsking
  | TakeWaiting
  | Onward
  | Ended;

/** A call. It holds no clock and no chance, and is plain JSON. */
export interface CallState {
  readonly phase: Phase;
  readonly callerNumber: string;
  /** The line whose attendant the caller is with; another one after a hand-over. Null until dialled. */
  readonly lineId: LineId | null;
  /** The sheet entered last; null before the first one of a line. */
  readonly sheetId: SheetId | null;
  /** The menus entered, the last one at the end; "back" takes from it, a hand-over to another line empties it. */
  readonly menus: readonly SheetId[];
  /** How many ids of plays, rings, timers and recordings were given out; only ever grows. */
  readonly idsGiven: number;
  /** One more at each sheet, line or named path entered; back to 0 when the caller presses a key. */
  readonly turnsWithoutKey: number;
  /** The timer that ends a call that lasts for ever; 0 until it is dialled. */
  readonly callTimerId: number;
  /** The recording of the call under way; null when it is not recorded. */
  readonly callRecordingId: number | null;
}

export const idleCall: CallState = {
  phase: { type: 'idle' },
  callerNumber: '',
  lineId: null,
  sheetId: null,
  menus: [],
  idsGiven: 0,
  turnsWithoutKey: 0,
  callTimerId: 0,
  callRecordingId: null,
};
