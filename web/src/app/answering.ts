import { answersAt, nextChange, type Answer, type Hours, type TimeZone } from '@locutor/core/hours';
import { describeStep, findSheet, pathAt, type Attendant, type Names } from '@locutor/core/line';

/** What a caller reaches with an answer, in a few words: a sheet's name, or what the first step does. */
export function answerName(answer: Answer, attendant: Attendant, names: Names): string {
  const slot = answer.type === 'period' ? { type: 'period' as const, periodId: answer.periodId } : answer;
  const [first] = pathAt(attendant, slot) ?? [];
  if (!first) return 'nothing';
  if (first.type === 'goTo') return findSheet(attendant, first.sheetId)?.name ?? 'something deleted';
  return describeStep(first, attendant, names);
}

export interface AnsweringNow {
  readonly answer: Answer;
  readonly name: string;
  /** When it changes and to what; undefined when it never does. */
  readonly next: { readonly atMs: number; readonly name: string } | undefined;
}

/** What answers at an instant by an attendant, and what follows. */
export function answeringNow(
  attendant: Attendant,
  hours: Hours,
  timeZone: TimeZone,
  names: Names,
  atMs: number,
): AnsweringNow {
  const { rules } = attendant.answering;
  const answer = answersAt(rules, hours, timeZone, atMs);
  const change = nextChange(rules, hours, timeZone, atMs);
  return {
    answer,
    name: answerName(answer, attendant, names),
    next: change && { atMs: change.atMs, name: answerName(change.answer, attendant, names) },
  };
}
