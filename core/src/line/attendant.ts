import type { PeriodId } from '../hours';
import type { SheetId } from './ids';
import type { Sheet } from './sheet';
import type { Path } from './step';
import type { VoiceId } from './voice';

/** What answers while a period of the line's hours runs. */
export interface AnsweringRule {
  readonly periodId: PeriodId;
  readonly path: Path;
}

/** Which path answers when: the first rule whose period runs, else "otherwise", which is always there. */
export interface AnsweringOrder {
  readonly rules: readonly AnsweringRule[];
  readonly otherwise: Path;
}

export const schemaVersion = 1;

/** The whole attendant of a line, as one document. */
export interface Attendant {
  readonly schemaVersion: typeof schemaVersion;
  /** The voice of everything that names no voice of its own. */
  readonly voice: VoiceId;
  /** In the order of the outline. */
  readonly sheets: readonly Sheet[];
  readonly answering: AnsweringOrder;
}

export function findSheet(attendant: Attendant, id: SheetId): Sheet | undefined {
  return attendant.sheets.find((sheet) => sheet.id === id);
}
