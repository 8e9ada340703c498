import type { Id } from '../id';
import type { Hours } from './hours';
import type { PeriodId, SpecialDateId } from './ids';
import type { PlannedSpan } from './dayPlan';
import { nextBoundary, runningAt, type Running } from './running';
import { isOnAt, type Switch, type SwitchTo } from './switch';
import type { TimeZone } from './timeZone';

/** One line of the answering order: what answers while a period runs, on a special date, or callers of a list. */
export type OrderedRule =
  | { readonly type: 'period'; readonly periodId: PeriodId }
  | { readonly type: 'callers'; readonly callerListId: Id<'callers'> }
  /** Null for any special date. */
  | { readonly type: 'special'; readonly specialId: SpecialDateId | null };

/** Which line of the answering order wins, and why; or the switch. */
export type Answer =
  | { readonly type: 'switch'; readonly to: SwitchTo; readonly untilMs: number }
  | { readonly type: 'period'; readonly periodId: PeriodId; readonly span: PlannedSpan }
  | { readonly type: 'callers'; readonly callerListId: Id<'callers'> }
  /** The special date that it is, and the rule's: its own, or null for that of any. */
  | { readonly type: 'special'; readonly specialId: SpecialDateId; readonly ruleOf: SpecialDateId | null }
  | { readonly type: 'otherwise' };

/** What matters besides the hours: the lists that the caller is in, and the switch where one is set. */
export interface Circumstances {
  readonly callerLists?: ReadonlySet<Id<'callers'>>;
  readonly switched?: Switch | null;
}

const noLists: ReadonlySet<Id<'callers'>> = new Set();

/**
 * What answers at an instant: the switch while it is on; else the first rule that applies; "otherwise" when none does. A period's applies while it runs,
 * a special date's while that keeps everything from running, a list's when the caller is in it. A period that no rule
 * names changes nothing. Without lists the answer is that for unknown callers.
 */
export function answersAt(
  rules: readonly OrderedRule[],
  hours: Hours,
  zone: TimeZone,
  atMs: number,
  { callerLists = noLists, switched }: Circumstances = {},
): Answer {
  if (switched && isOnAt(switched, atMs)) return answerOfSwitch(switched);
  const running = runningAt(hours, zone, atMs);
  const winner = winnerOf(rules, running, callerLists);
  return (winner && answerOf(winner, running, callerLists)) ?? { type: 'otherwise' };
}

function answerOfSwitch({ to, untilMs }: Switch): Answer {
  return { type: 'switch', to, untilMs };
}

/** Where rules stand in their order, by what they are about: with many of them looking is slow. */
interface RuleIndex {
  readonly at: ReadonlyMap<string, number>;
  readonly anySpecial: number;
}

const indexes = new WeakMap<readonly OrderedRule[], RuleIndex>();

function indexOf(rules: readonly OrderedRule[]): RuleIndex {
  let index = indexes.get(rules);
  if (!index) {
    const anySpecial = rules.findIndex((rule) => rule.type === 'special' && rule.specialId === null);
    index = { at: new Map(rules.map((rule, place) => [aboutOf(rule), place])), anySpecial };
    indexes.set(rules, index);
  }
  return index;
}

function aboutOf(rule: OrderedRule): string {
  if (rule.type === 'period') return rule.periodId;
  return rule.type === 'callers' ? rule.callerListId : (rule.specialId ?? '');
}

/** The first rule that applies; undefined when none does. */
function winnerOf(
  rules: readonly OrderedRule[],
  running: Running,
  callerLists: typeof noLists,
): OrderedRule | undefined {
  const { at, anySpecial } = indexOf(rules);
  let first = rules.length;
  const consider = (place: number | undefined): void => {
    if (place !== undefined && place >= 0 && place < first) first = place;
  };
  for (const { periodId } of running.spans) consider(at.get(periodId));
  if (running.special) {
    consider(at.get(running.special.id));
    consider(anySpecial);
  }
  for (const list of callerLists) consider(at.get(list));
  return rules[first];
}

function answerOf(rule: OrderedRule, running: Running, callerLists: typeof noLists): Answer | undefined {
  switch (rule.type) {
    case 'callers':
      return callerLists.has(rule.callerListId) ? { type: 'callers', callerListId: rule.callerListId } : undefined;
    case 'special': {
      const id = running.special?.id;
      const isIt = id !== undefined && (rule.specialId === null || rule.specialId === id);
      return isIt ? { type: 'special', specialId: id, ruleOf: rule.specialId } : undefined;
    }
    case 'period': {
      const span = running.spans.find((each) => each.periodId === rule.periodId);
      return span && { type: 'period', periodId: rule.periodId, span };
    }
  }
}

/** How a rule fares at an instant. */
export interface Verdict {
  /** Null for "otherwise". */
  readonly rule: OrderedRule | null;
  readonly is: 'wins' | 'beaten' | 'doesNotApply';
}

/** What answers at an instant, and how every rule fares then, in their order; "otherwise" last. The switch beats them all. */
export function explainAnswer(
  rules: readonly OrderedRule[],
  hours: Hours,
  zone: TimeZone,
  atMs: number,
  { callerLists = noLists, switched }: Circumstances = {},
): { readonly answer: Answer; readonly running: Running; readonly verdicts: readonly Verdict[] } {
  const running = runningAt(hours, zone, atMs);
  const answers = rules.map((rule) => answerOf(rule, running, callerLists));
  const first = answers.findIndex((answer) => answer !== undefined);
  const byHours = answers[first] ?? { type: 'otherwise' };
  const answer = switched && isOnAt(switched, atMs) ? answerOfSwitch(switched) : byHours;
  const winner = answer === byHours ? (first < 0 ? rules.length : first) : -1;
  const verdicts = rules.map((rule, index): Verdict => {
    const is = index === winner ? 'wins' : answers[index] ? 'beaten' : 'doesNotApply';
    return { rule, is };
  });
  const otherwise: Verdict = { rule: null, is: winner === rules.length ? 'wins' : 'beaten' };
  return { answer, running, verdicts: [...verdicts, otherwise] };
}

/** Whether two answers are of the same line of the answering order, and of the same special date. */
export function isSameAnswer(one: Answer, other: Answer): boolean {
  switch (one.type) {
    case 'period':
      return other.type === 'period' && one.periodId === other.periodId;
    case 'callers':
      return other.type === 'callers' && one.callerListId === other.callerListId;
    case 'special':
      return other.type === 'special' && one.specialId === other.specialId && one.ruleOf === other.ruleOf;
    case 'switch':
      return other.type === 'switch' && other.untilMs === one.untilMs;
    case 'otherwise':
      return other.type === 'otherwise';
  }
}

/** The next instant after this one at which what answers may change. */
export function nextTurn(hours: Hours, zone: TimeZone, atMs: number, switched: Switch | null = null): number {
  const boundary = nextBoundary(hours, zone, atMs);
  const ends = switched ? [switched.fromMs, switched.untilMs].filter((end) => end > atMs) : [];
  return Math.min(boundary, ...ends);
}

export interface AnswerChange {
  readonly atMs: number;
  readonly answer: Answer;
}

const dayMs = 24 * 3_600_000;
/** As far ahead as hours can first differ: a regular week with one clock change in it, or a 29th of February. */
const lookAheadDays = { week: 8, years: 8 * 366 } as const;

/** When what answers next changes, and to what; undefined when it never does. */
export function nextChange(
  rules: readonly OrderedRule[],
  hours: Hours,
  zone: TimeZone,
  atMs: number,
  switched: Switch | null = null,
): AnswerChange | undefined {
  const isSwitched = switched !== null && switched.untilMs > atMs;
  if (!isSwitched && rules.every(({ type }) => type === 'callers')) return undefined;
  const now = answersAt(rules, hours, zone, atMs, { switched });
  const isRegular = [hours.datedWeeks, hours.seasons, hours.special].every(({ length }) => length === 0);
  const endMs = atMs + (isRegular ? lookAheadDays.week : lookAheadDays.years) * dayMs;
  for (let at = nextTurn(hours, zone, atMs, switched); at <= endMs; at = nextTurn(hours, zone, at, switched)) {
    const answer = answersAt(rules, hours, zone, at, { switched });
    if (!isSameAnswer(now, answer)) return { atMs: at, answer };
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
  switched: Switch | null = null,
): readonly AnswerSpan[] {
  const spans: AnswerSpan[] = [];
  let began = fromMs;
  let answer = answersAt(rules, hours, zone, fromMs, { switched });
  for (let at = nextTurn(hours, zone, fromMs, switched); at < toMs; at = nextTurn(hours, zone, at, switched)) {
    const next = answersAt(rules, hours, zone, at, { switched });
    if (isSameAnswer(answer, next)) continue;
    spans.push({ fromMs: began, toMs: at, answer });
    [began, answer] = [at, next];
  }
  return toMs > fromMs ? [...spans, { fromMs: began, toMs, answer }] : [];
}
