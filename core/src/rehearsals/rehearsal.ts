import type { TranscriptEntry } from '../call';
import type { BoxId, ContactId, GroupId, PersonId, QueueId } from '../directory';
import type { LineId, SheetId } from '../line';
import type { RehearsalId } from './ids';

/** What the caller does, each at the first moment at which keys or words count. */
export type SceneAct =
  /** Presses keys, one after the other: `2`, or `204#` where digits are asked for. */
  | { readonly type: 'press'; readonly keys: string }
  /** Presses nothing and lets the round pass. */
  | { readonly type: 'wait' }
  | { readonly type: 'say'; readonly words: string }
  /** Hangs up so many seconds later. */
  | { readonly type: 'hangUp'; readonly afterSeconds: number };

/** What somebody does whose phone rings. */
export const sceneStaffDoes = ['answers', 'busy', 'noAnswer', 'voicemail'] as const;
export type SceneStaffDoes = (typeof sceneStaffDoes)[number];

/** A trial call: when, who calls, what they do, and who answers. */
export interface Scene {
  /** By the line's clock, such as `2026-12-24T10:00`. */
  readonly reading: string;
  /** E.164, or `anonymous`. */
  readonly callerNumber: string;
  /** Once they are used up the caller waits for whatever comes. */
  readonly acts: readonly SceneAct[];
  /** What those do who are named; everybody else does what `others` says. */
  readonly staff: readonly { readonly who: PersonId | ContactId; readonly does: SceneStaffDoes }[];
  readonly others: SceneStaffDoes;
}

/** Whom or what a call can be meant to reach. */
export type Reached = PersonId | GroupId | QueueId | BoxId | ContactId | LineId | SheetId;

/** How a call can be meant to end. */
export const sceneEnds = ['talk', 'message', 'handedOver', 'lineHangsUp', 'callerHangsUp', 'blocked'] as const;
export type SceneEnd = (typeof sceneEnds)[number];

/** What must happen in it. */
export type Expectation =
  | { readonly type: 'reaches'; readonly who: Reached }
  /** Somewhere in what is said; capitals, marks and spaces aside. */
  | { readonly type: 'hears'; readonly words: string }
  /** Until somebody picks up or a message is recorded, for a caller who acts as soon as they can. */
  | { readonly type: 'within'; readonly seconds: number }
  | { readonly type: 'ends'; readonly how: SceneEnd };

/** A saved trial call with what should happen in it. */
export interface Rehearsal {
  readonly id: RehearsalId;
  /** 1 to 100 characters. */
  readonly name: string;
  readonly scene: Scene;
  readonly expects: readonly Expectation[];
  /** What happened when it last went as it should; null while it never has. */
  readonly was: readonly TracedEntry[] | null;
}

/** Something that happened in a call, with the ms since it was answered. */
export type TracedEntry = TranscriptEntry;

export const rehearsalLimits = {
  name: 100,
  acts: 30,
  expects: 20,
  words: 300,
  seconds: 3600,
  staff: 64,
  most: 2000,
} as const;
