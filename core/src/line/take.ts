import { idKind, type Id } from '../id';
import type { Key } from './key';
import type { LivePart } from './pieces';

export type TakeId = Id<'take'>;
export const takeId = idKind('take');

/** A recording that is heard in place of the voice. */
export interface TakeUse {
  readonly takeId: TakeId;
  /** Whether the voice speaks for now, until there is a better recording. */
  readonly byVoice: boolean;
}

/** Which part of a sheet a recording says: all of it, what stands before or after the options, or one option. */
export type TakePart =
  | { readonly type: 'whole' }
  | { readonly type: 'openingWords' | 'closingWords' }
  | { readonly type: 'option'; readonly key: Key };

/** The recordings of a sheet but for those of its options. */
export type SheetTakes = Readonly<Partial<Record<'whole' | 'openingWords' | 'closingWords', TakeUse>>>;

/** What a recording says, as it was when it was made: its words, the keys, and what live parts were then. */
export interface TakeSays {
  /** As typed, with live parts in braces. */
  readonly words: string;
  /** The options read out, in their order. */
  readonly options: readonly { readonly key: Key; readonly label: string }[];
  readonly live: readonly { readonly part: LivePart; readonly said: string }[];
}

/** A part of what was heard in a recording: as expected, or something else in the place of what was. */
export interface HeardPart {
  readonly text: string;
  /** What was expected there; null where it is as expected. */
  readonly insteadOf: string | null;
}

/** Why nobody knows what a recording says. */
export const unknownReasons = ['language', 'noRecogniser', 'unclear', 'noWords'] as const;

/** What is known of what a recording says, as against what it should. It is never assumed. */
export type TakeVerdict =
  | { readonly type: 'right'; readonly by: 'listening' | 'manager' }
  | { readonly type: 'other'; readonly by: 'listening' | 'manager'; readonly parts: readonly HeardPart[] }
  | { readonly type: 'unknown'; readonly why: (typeof unknownReasons)[number] };

/** What a recording says that says something else, as text. */
export function heardText({ parts }: Extract<TakeVerdict, { type: 'other' }>): string {
  return parts
    .map(({ text }) => text)
    .filter((text) => text !== '')
    .join(' ');
}

/** A recording ready for the line. */
export interface RecordedTake {
  readonly id: TakeId;
  /** Its sound as the telephone carries it. */
  readonly audioId: string;
  readonly lengthMs: number;
  /** What is heard, in full: for captions. */
  readonly text: string;
}
