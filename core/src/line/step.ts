import type { BoxId, PersonId } from '../directory';
import type { GreetingId, SheetId } from './ids';

/** Words typed in place, or a greeting of the library. */
export type Spoken =
  { readonly type: 'typed'; readonly words: string } | { readonly type: 'greeting'; readonly greetingId: GreetingId };

/** Rings a person; somebody answering ends the path, nobody answering lets the next step run. */
export interface RingStep {
  readonly type: 'ring';
  readonly personId: PersonId;
  /** 5 to 300 s; a ring is 6 s. */
  readonly seconds: number;
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
}

/** Goes to another sheet; always ends the path. */
export interface GoToStep {
  readonly type: 'goTo';
  readonly sheetId: SheetId;
}

/** Says the menu the path belongs to once more; always ends the path. */
export interface SayAgainStep {
  readonly type: 'sayAgain';
}

/** Says goodbye, if there are words for it, and hangs up. */
export interface HangUpStep {
  readonly type: 'hangUp';
  readonly words: string;
}

export type Step = RingStep | SayStep | TakeMessageStep | GoToStep | SayAgainStep | HangUpStep;
export type StepType = Step['type'];

/** Steps taken in order until one of them ends the path. */
export type Path = readonly Step[];

export const secondsPerRing = 6;
export const shortestRingSeconds = 5;
export const longestRingSeconds = 300;
export const defaultRingSeconds = 24;
export const mostSteps = 20;

/** Whether nothing after this step can ever run. */
export function alwaysEnds(step: Step): boolean {
  return step.type !== 'ring' && step.type !== 'say';
}
