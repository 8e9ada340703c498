import type { Id } from '../id';
import type { Hours, WeekSpan } from './hours';
import type { PeriodId } from './ids';
import type { TimeZone } from './timeZone';
import { nextBoundary, spansAt } from './week';

/** One line of the answering order: what answers while a period runs, or callers of a list. */
export type OrderedRule =
  | { readonly type: 'period'; readonly periodId: PeriodId }
  | { readonly type: 'callers'; readonly callerListId: Id<'callers'> };

/** Which line of the answering order wins, and why. */
export type Answer =
  | { readonly type: 'period'; readonly periodId: PeriodId; readonly span: WeekSpan }
  | { readonly type: 'callers'; readonly callerListId: Id<'callers'> }
  | { readonly type: 'otherwise' };

const noLists: ReadonlySet<Id<'callers'>> = new Set();

/**
 * What answers at an instant: the first rule whose period runs then or whose list the caller is in; "otherwise" when
 * none applies. A period that no rule names changes nothing. Without lists the answer is that for unknown callers.
 */
export function answersAt(
  rules: readonly OrderedRule[],
  hours: Hours,
  zone: TimeZone,
  atMs: number,
  callerLists = noLists,
): Answer {
  const running = spansAt(hours, zone, atMs);
  for (const rule of rules) {
    if (rule.type === 'callers') {
      if (callerLists.has(rule.callerListId)) return { type: 'callers', callerListId: rule.callerListId };
      continue;
    }
    const span = running.find((each) => each.periodId === rule.periodId);
    if (span) return { type: 'period', periodId: rule.periodId, span };
  }
  return { type: 'otherwise' };
}

/** Whether two answers are of the same line of the answering order. */
export function isSameAnswer(one: Answer, other: Answer): boolean {
  switch (one.type) {
    case 'period':
      return other.type === 'period' && one.periodId === other.periodId;
    case 'callers':
      return other.type === 'callers' && one.callerListId === other.callerListId;
    case 'otherwise':
      return other.type === 'otherwise';
  }
}

export interface AnswerChange {
  readonly atMs: number;
  readonly answer: Answer;
}

/** A week and a day: as far ahead as a regular week with one clock change in it can first differ. */
const lookAheadMs = 8 * 24 * 3_600_000;

/** When what answers next changes, and to what; undefined when it never does. */
export function nextChange(
  rules: readonly OrderedRule[],
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
  rules: readonly OrderedRule[],
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
