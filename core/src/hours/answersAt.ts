import type { Hours, WeekSpan } from './hours';
import type { PeriodId } from './ids';
import type { TimeZone } from './timeZone';
import { nextBoundary, spansAt } from './week';

/** One line of the answering order: what answers while a period runs. */
export interface PeriodRule {
  readonly periodId: PeriodId;
}

/** Which line of the answering order wins, and why. */
export type Answer =
  { readonly type: 'period'; readonly periodId: PeriodId; readonly span: WeekSpan } | { readonly type: 'otherwise' };

/**
 * What answers at an instant: the first rule whose period runs then; "otherwise" when none does.
 * A period that no rule names changes nothing.
 */
export function answersAt(rules: readonly PeriodRule[], hours: Hours, zone: TimeZone, atMs: number): Answer {
  const running = spansAt(hours, zone, atMs);
  for (const rule of rules) {
    const span = running.find((each) => each.periodId === rule.periodId);
    if (span) return { type: 'period', periodId: rule.periodId, span };
  }
  return { type: 'otherwise' };
}

/** Whether two answers are of the same line of the answering order. */
export function isSameAnswer(one: Answer, other: Answer): boolean {
  return one.type === 'period'
    ? other.type === 'period' && one.periodId === other.periodId
    : other.type === 'otherwise';
}

export interface AnswerChange {
  readonly atMs: number;
  readonly answer: Answer;
}

/** A week and a day: as far ahead as a regular week with one clock change in it can first differ. */
const lookAheadMs = 8 * 24 * 3_600_000;

/** When what answers next changes, and to what; undefined when it never does. */
export function nextChange(
  rules: readonly PeriodRule[],
  hours: Hours,
  zone: TimeZone,
  atMs: number,
): AnswerChange | undefined {
  const now = answersAt(rules, hours, zone, atMs);
  let at = nextBoundary(hours, zone, atMs);
  while (at <= atMs + lookAheadMs) {
    const answer = answersAt(rules, hours, zone, at);
    if (!isSameAnswer(now, answer)) return { atMs: at, answer };
    at = nextBoundary(hours, zone, at);
  }
  return undefined;
}

export interface AnswerSpan {
  readonly fromMs: number;
  readonly toMs: number;
  readonly answer: Answer;
}

/** What answers from one instant to another, as stretches that meet without gap or overlap. */
export function answerSpans(
  rules: readonly PeriodRule[],
  hours: Hours,
  zone: TimeZone,
  fromMs: number,
  toMs: number,
): readonly AnswerSpan[] {
  const spans: AnswerSpan[] = [];
  let at = fromMs;
  while (at < toMs) {
    const end = Math.min(nextChange(rules, hours, zone, at)?.atMs ?? toMs, toMs);
    spans.push({ fromMs: at, toMs: end, answer: answersAt(rules, hours, zone, at) });
    at = end;
  }
  return spans;
}
