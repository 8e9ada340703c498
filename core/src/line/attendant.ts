import {
  closedReasons,
  queueReasons,
  type CallerListId,
  type ClosedReason,
  type GroupId,
  type QueueId,
  type QueueReason,
} from '../directory';
import type { PeriodId, SpecialDateId } from '../hours';
import type { NamedPathId, SheetId } from './ids';
import type { Sheet } from './sheet';
import { alwaysEnds, type Path } from './step';
import type { VoiceId } from './voice';

/** What answers while a period of the line's hours runs. */
export interface PeriodRule {
  readonly type: 'period';
  readonly periodId: PeriodId;
  readonly path: Path;
}

/** What answers callers of a list, at whatever hour. Blocked lists need no rule. */
export interface CallersRule {
  readonly type: 'callers';
  readonly callerListId: CallerListId;
  readonly path: Path;
}

/** What answers on a special date while that keeps everything from running; null for any special date. */
export interface SpecialRule {
  readonly type: 'special';
  readonly specialId: SpecialDateId | null;
  readonly path: Path;
}

export type AnsweringRule = PeriodRule | CallersRule | SpecialRule;

/** Which path answers when: the first rule that applies, else "otherwise", which is always there. */
export interface AnsweringOrder {
  readonly rules: readonly AnsweringRule[];
  readonly otherwise: Path;
}

/** A path with a name of its own, written once and followed from many places. */
export interface NamedPath {
  readonly id: NamedPathId;
  /** 1 to 60 characters. */
  readonly name: string;
  readonly steps: Path;
}

/** What becomes of callers whom a group or a queue did not connect, wherever on this line they were sent there. */
export type Fallback =
  /** Nobody of the group answered, and no further step says what to do. */
  | { readonly type: 'group'; readonly groupId: GroupId; readonly path: Path }
  /** The queue let the caller go for this reason. */
  | { readonly type: 'groupClosed'; readonly groupId: GroupId; readonly reason: ClosedReason; readonly path: Path }
  | { readonly type: 'queue'; readonly queueId: QueueId; readonly reason: QueueReason; readonly path: Path };

export const schemaVersion = 6;
export const mostFallbacks = 500;
export const mostNamedPaths = 200;

/** The whole attendant of a line, as one document. */
export interface Attendant {
  readonly schemaVersion: typeof schemaVersion;
  /** The voice of everything that names no voice of its own. */
  readonly voice: VoiceId;
  /** In the order of the outline. */
  readonly sheets: readonly Sheet[];
  readonly paths: readonly NamedPath[];
  readonly answering: AnsweringOrder;
  /** At most one for each group, and one for each queue and reason. */
  readonly fallbacks: readonly Fallback[];
}

export function findSheet(attendant: Attendant, id: SheetId): Sheet | undefined {
  return attendant.sheets.find((sheet) => sheet.id === id);
}

export function findNamedPath(attendant: Pick<Attendant, 'paths'>, id: NamedPathId): NamedPath | undefined {
  return attendant.paths.find((path) => path.id === id);
}

/**
 * Whether a path always ends somewhere: some step of it does, a named path that it follows, what its queue does with
 * those it does not connect, or the own path of the group it rings last.
 */
export function pathEnds(
  attendant: Pick<Attendant, 'paths' | 'fallbacks'>,
  path: Path,
  following: readonly string[] = [],
): boolean {
  const ends = (steps: Path | undefined, via: string): boolean =>
    steps !== undefined && !following.includes(via) && pathEnds(attendant, steps, [...following, via]);
  return path.some((step, index) => {
    switch (step.type) {
      case 'followPath':
        return ends(findNamedPath(attendant, step.pathId)?.steps, step.pathId);
      case 'waitInQueue':
        return leavingReasons.every((reason) => ends(fallbackOf(attendant, step.queueId, reason), step.queueId));
      case 'ringGroup':
        return index === path.length - 1 && ends(fallbackOf(attendant, step.groupId), step.groupId);
      // Nothing has to follow: handing over is an end like another.
      case 'handOver':
        return true;
      default:
        return alwaysEnds(step);
    }
  });
}

/** Those whose path is the last for a caller: after the ones of closed times comes the one for nobody working. */
const leavingReasons = queueReasons.filter((reason) => !closedReasons.some((each) => each === reason));

/** Whether a step may follow at the end of a path: after a hand-over it is what comes when the call is not taken there. */
export function canGoOn(attendant: Pick<Attendant, 'paths' | 'fallbacks'>, path: Path): boolean {
  return !pathEnds(attendant, path.at(-1)?.type === 'handOver' ? path.slice(0, -1) : path);
}

function fallbackOf(
  { fallbacks }: Pick<Attendant, 'fallbacks'>,
  id: GroupId | QueueId,
  reason?: QueueReason,
): Path | undefined {
  return fallbacks.find((each) =>
    each.type === 'queue'
      ? each.queueId === id && each.reason === reason
      : each.type === 'group' && each.groupId === id,
  )?.path;
}
