import type { NamePart } from '../../directory';
import type { Key } from '../../line';

/** Everything the line says by itself, in one language. */
export interface Phrases {
  /** What an option is for and its key: "For moorings, press 1." */
  readonly option: (label: string, key: Key) => string;
  /** Finds, in free words, a key named before what it is for. */
  readonly keyBeforeOption: RegExp;
  /** Finds, in free words, a key that is named; its first group is the key. */
  readonly keyInWords: RegExp;
  /** Before the beep of a box that has no greeting of its own. */
  readonly leaveMessage: (boxName: string) => string;
  readonly messageTaken: string;
  readonly nothingMore: string;
  readonly spellName: (part: NamePart) => string;
  readonly dialExtension: string;
  readonly nobodyFound: string;
  readonly noSuchExtension: string;
  /** One of several matches and its key. */
  readonly choice: (name: string, key: string) => string;
  readonly moreChoices: (key: string) => string;
  /** The person whose extension was dialled does not answer. */
  readonly noAnswer: (name: string) => string;
  /** To the one who answers an outside phone. */
  readonly acceptCall: string;
  /** How far a waiting caller is: 1 is next. */
  readonly placeInLine: (place: number) => string;
  readonly expectedWait: (minutes: number) => string;
  /** The key with which a waiting caller leaves the queue. */
  readonly leaveQueue: (key: Key) => string;
  /** Before a call is recorded. */
  readonly recorded: string;
  readonly enterPin: string;
  readonly wrongPin: string;
  /** After too many wrong ones none is tried for a while. */
  readonly pinPaused: (minutes: number) => string;
  readonly messagesWaiting: (count: number) => string;
  /** Which message comes, and whose; the number is empty when it is not given. */
  readonly messageFrom: (count: number, number: string) => string;
  readonly messageKeys: string;
  readonly noMoreMessages: string;
  readonly noSuchNumber: string;
  /** To somebody who is to record a greeting with the phone on their desk. */
  readonly speakGreeting: (name: string) => string;
  readonly nothingRecorded: string;
  readonly takeKeys: string;
  readonly takeKept: string;
  /** It is kept, and another is to be recorded. */
  readonly speakNext: (name: string) => string;
  readonly takeNotKept: string;
}
