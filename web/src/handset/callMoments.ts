import {
  instantOf,
  clockReading,
  isSameAnswer,
  nextChange,
  answersAt,
  type Answer,
  type Hours,
  type Switch,
  type TimeZone,
} from '@locutor/core/hours';
import { usableSwitch, type Attendant, type Names } from '@locutor/core/line';
import { answerName } from '../app/answering';

/** A moment worth calling at: now, and the next few at which something else answers. */
export interface CallMoment {
  readonly name: string;
  /** As the line's clock reads it, `2026-11-23T09:30`; null for now. */
  readonly reading: string | null;
}

const halfHourMs = 30 * 60_000;
const mostMoments = 3;

/** Moments at which different things answer, the nearest first, each half an hour after its period began. */
export function callMoments(
  attendant: Attendant,
  hours: Hours,
  timeZone: TimeZone,
  names: Names,
  nowMs: number,
  set: Switch | null = null,
): readonly CallMoment[] {
  const { rules } = attendant.answering;
  const switched = usableSwitch(attendant, set);
  const seen = [answersAt(rules, hours, timeZone, nowMs, { switched })];
  const moments: CallMoment[] = [];
  let at = nowMs;
  for (let look = 0; look < 30 && moments.length < mostMoments; look += 1) {
    const change = nextChange(rules, hours, timeZone, at, switched);
    if (!change) break;
    at = change.atMs;
    if (seen.some((answer) => isSameAnswer(answer, change.answer))) continue;
    seen.push(change.answer);
    const end = nextChange(rules, hours, timeZone, at, switched)?.atMs ?? Infinity;
    const moment = at + Math.min(halfHourMs, (end - at) / 2);
    moments.push({ name: momentName(change.answer, attendant, names), reading: clockReading(moment, timeZone) });
  }
  const now = answersAt(rules, hours, timeZone, nowMs, { switched });
  return [{ name: `Now: ${momentName(now, attendant, names)}`, reading: null }, ...moments];
}

/** The period and what answers in it: "Lunch: Welcome". */
function momentName(answer: Answer, attendant: Attendant, names: Names): string {
  const name = answerName(answer, attendant, names);
  return answer.type === 'period' ? `${names[answer.periodId] ?? 'a period'}, ${name}` : name;
}

/** The instant of a reading of the line's clock; now for none. */
export function momentMs(reading: string | null, timeZone: TimeZone, nowMs: number): number {
  return reading ? instantOf(reading, timeZone) : nowMs;
}
