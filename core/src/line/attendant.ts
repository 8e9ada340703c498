import type { CallerListId } from '../directory';
import type { PeriodId } from '../hours';
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

export type AnsweringRule = PeriodRule | CallersRule;

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

export const schemaVersion = 2;
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
}

export function findSheet(attendant: Attendant, id: SheetId): Sheet | undefined {
  return attendant.sheets.find((sheet) => sheet.id === id);
}

export function findNamedPath(attendant: Pick<Attendant, 'paths'>, id: NamedPathId): NamedPath | undefined {
  return attendant.paths.find((path) => path.id === id);
}

/** Whether a path always ends somewhere: some step of it does, or a named path that it follows. */
export function pathEnds(
  attendant: Pick<Attendant, 'paths'>,
  path: Path,
  following: readonly NamedPathId[] = [],
): boolean {
  return path.some((step) => {
    if (step.type !== 'followPath') return alwaysEnds(step);
    const named = following.includes(step.pathId) ? undefined : findNamedPath(attendant, step.pathId);
    return named !== undefined && pathEnds(attendant, named.steps, [...following, step.pathId]);
  });
}
