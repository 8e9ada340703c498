import type { BoxId, GroupId, PersonId, QueueId } from '../directory';
import type { OutsideTarget } from '../call';
import type { Key, LineId, SheetId, Slot } from '../line';

/**
 * What a way begins with: a choice of the caller, who presses a key, or none, or the wrong one, as often as the menu lets
 * them, or leaves a queue; or a queue that has no place left.
 */
export type Turn =
  | { readonly type: 'key'; readonly sheetId: SheetId; readonly key: Key }
  | { readonly type: 'silence'; readonly sheetId: SheetId }
  | { readonly type: 'wrongKey'; readonly sheetId: SheetId }
  /** The key that leaves a queue, pressed while waiting in it. */
  | { readonly type: 'exitKey'; readonly queueId: QueueId; readonly key: Key }
  | { readonly type: 'queueFull'; readonly queueId: QueueId };

/** In which menu or queue a way begins. */
export function placeOfTurn(turn: Turn): SheetId | QueueId {
  return 'queueId' in turn ? turn.queueId : turn.sheetId;
}

/** What a caller goes through for a while; times in ms since the line answered. */
export type Stretch = { readonly fromMs: number; readonly toMs: number } & (
  | { readonly type: 'words'; readonly text: string; readonly sheetId: SheetId | null }
  | { readonly type: 'option'; readonly sheetId: SheetId; readonly key: Key }
  | { readonly type: 'wait'; readonly sheetId: SheetId }
  /** Digits that are asked for: a name, an extension, or further digits after a key. */
  | { readonly type: 'digits' }
  | { readonly type: 'ring'; readonly target: RingTarget }
  /** The longest wait in a queue. */
  | { readonly type: 'queue'; readonly queueId: QueueId }
  | { readonly type: 'message'; readonly boxId: BoxId }
);

/** Who is rung: somebody by name, an outside number, or whoever the caller asks for. */
export type RingTarget =
  | { readonly type: 'person'; readonly personId: PersonId }
  | { readonly type: 'group'; readonly groupId: GroupId }
  | OutsideTarget
  | { readonly type: 'queue'; readonly queueId: QueueId }
  | { readonly type: 'anybody' };

/** Where a way ends. */
export type WayEnd =
  /** In a menu, from which further ways go on. */
  | { readonly type: 'menu'; readonly sheetId: SheetId }
  /** In a menu that was met before on this way, or is drawn elsewhere. */
  | { readonly type: 'again'; readonly sheetId: SheetId }
  | { readonly type: 'message'; readonly boxId: BoxId }
  | { readonly type: 'hungUp' }
  /** Somebody picked up; only where that was asked for. */
  | { readonly type: 'talks'; readonly target: RingTarget }
  | { readonly type: 'handedOver'; readonly target: OutsideTarget }
  | { readonly type: 'line'; readonly lineId: LineId }
  /** Ringing with no limit. */
  | { readonly type: 'forEver' }
  /** The path has no further step. */
  | { readonly type: 'ranOut' }
  /** Paths with a name lead round in a circle. */
  | { readonly type: 'circle' };

export interface SpanMs {
  readonly soonestMs: number;
  readonly latestMs: number;
}

/** One way through: what happens from one choice of the caller to the next, if nobody answers. */
export interface Way {
  readonly index: number;
  /** The way it goes on from; null for the one that begins when the line answers. */
  readonly parent: number | null;
  /** The choice with which it begins; null for the first. */
  readonly turn: Turn | null;
  /** Where its path is written. */
  readonly slot: Slot;
  readonly stretches: readonly Stretch[];
  readonly end: WayEnd;
  /** Whether somebody is rung on it, or waited for in a queue. */
  readonly rings: boolean;
  /** What the menu says in which it ends, and its wait for a key; empty where it ends otherwise. */
  readonly menu: readonly Stretch[];
  /** When it begins and ends for a caller who listens to the option before pressing its key. */
  readonly fromMs: number;
  readonly endMs: number;
  /** When it begins for a caller who knows the keys and presses them as soon as they count. */
  readonly quickFromMs: number;
  /** When somebody can pick up on it: the first moment it rings, and the last; null when nobody is rung or all are busy. */
  readonly personMs: SpanMs | null;
  /** The same for a caller who knows the keys. */
  readonly quickPersonMs: number | null;
}
