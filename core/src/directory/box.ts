import type { Id } from '../id';
import type { BoxId } from './ids';

/** A voicemail box: where callers' messages are kept. */
export interface Box {
  readonly id: BoxId;
  /** 1 to 80 characters. */
  readonly name: string;
  /** The greeting spoken before the beep; null for words made from the box's name. */
  readonly greetingId: Id<'greeting'> | null;
  /** The longest message taken, 10 to 600 s. */
  readonly longestMessageSeconds: number;
}

export const defaultLongestMessageSeconds = 120;

/** What a caller hears before the beep when the box has no greeting of its own. */
export function defaultBoxWords(boxName: string): string {
  return `Please leave a message for ${boxName} after the tone. When you are done, press pound or hang up.`;
}
