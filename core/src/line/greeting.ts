import type { GreetingId } from './ids';
import type { TakeUse } from './take';
import type { VoiceId } from './voice';

/** Something spoken that has a name of its own, to be said from several places. */
export interface Greeting {
  readonly id: GreetingId;
  /** 1 to 80 characters. */
  readonly name: string;
  /** What is said, 1 to 3,000 characters. */
  readonly words: string;
  readonly voice: VoiceId;
  /** A recording that is heard in place of the voice; null where there is none. */
  readonly take: TakeUse | null;
}

/** About three and a half minutes of speech: longer than any caller stays. */
export const longestWords = 3000;
