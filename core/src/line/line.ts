import { groupId, personId, type E164, type GroupId, type PersonId } from '../directory';
import type { HoursId, TimeZone } from '../hours';
import type { LineId } from './ids';

/** A phone line: its number, its time zone and the hours it keeps. Its attendant is a document beside it. */
export interface Line {
  readonly id: LineId;
  /** The business's name as callers know it, 1 to 80 characters. */
  readonly name: string;
  readonly number: E164;
  readonly timeZone: TimeZone;
  readonly hoursId: HoursId;
  /** The first day, as `2026-05-15`, on which the line is in service; null for always. */
  readonly serviceFrom: string | null;
  /** The last day on which it is; null for always. */
  readonly serviceUntil: string | null;
  /** The address on record where emergency services find whoever calls them from the line; empty for none yet. */
  readonly emergencyAddress: string;
  /** Who operates the line: the person or group to whom key 0 leads, and whoever wants somebody. Null for nobody yet. */
  readonly operatorId: OperatorId | null;
}

export type OperatorId = PersonId | GroupId;

export function isOperatorId(value: unknown): value is OperatorId {
  return personId.is(value) || groupId.is(value);
}

export const longestAddress = 200;
