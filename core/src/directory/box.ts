import type { Id } from '../id';
import type { BoxId, PersonId } from './ids';

/** Who is told of a message, and how. */
export interface Tell {
  readonly personId: PersonId;
  readonly by: TellBy;
}

export const tellWays = ['email', 'emailWithAudio', 'text'] as const;
export type TellBy = (typeof tellWays)[number];

/** A voicemail box: where callers' messages are kept. */
export interface Box {
  readonly id: BoxId;
  /** 1 to 80 characters. */
  readonly name: string;
  /** Whose box it is; null when it is the office's or a department's. */
  readonly ownerId: PersonId | null;
  /** The greeting spoken before the beep; null for words made from the box's name. */
  readonly greetingId: Id<'greeting'> | null;
  /** Whether a tone is heard before the caller speaks. */
  readonly beep: boolean;
  /** The longest message taken, 10 to 600 s. */
  readonly longestMessageSeconds: number;
  /** Who is told of each message. */
  readonly tell: readonly Tell[];
  /** What is dialled on a desk phone to hear its messages, after the PIN; empty for none. */
  readonly code: string;
}

export const defaultLongestMessageSeconds = 120;
export const mostTold = 20;

export const boxDefaults = {
  ownerId: null,
  greetingId: null,
  beep: true,
  longestMessageSeconds: defaultLongestMessageSeconds,
  tell: [],
  code: '',
} as const satisfies Partial<Box>;

/** The box of a person; the first one when they have several. */
export function boxOf(boxes: readonly Box[], personId: PersonId): Box | undefined {
  return boxes.find((box) => box.ownerId === personId);
}
