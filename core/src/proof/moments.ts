import {
  answersAt,
  answerSpans,
  dayPlan,
  occurrences,
  readDate,
  runningAt,
  wallInstant,
  wallTime,
  type Hours,
  type OrderedRule,
  type TimeZone,
} from '../hours';
import { slotKey, slotOfAnswer, type Slot } from '../line';
import { zoneOf } from './facts';
import { remember } from './remember';
import type { ProofSubject } from './rule';

/** A place of the answering order, and instants at which it answers. */
export interface AnsweringAt {
  readonly slot: Slot;
  readonly moments: readonly number[];
  /** Those of the regular weeks ahead, without special dates. */
  readonly usual: readonly number[];
  /** Those at which no period of the line's hours runs. */
  readonly closed: readonly number[];
  /** Those at which the first period, such as Open, runs. */
  readonly open: readonly number[];
}

const weeks = 2;
const specialDays = 400;
const dayMs = 86_400_000;
const minuteMs = 60_000;

/** When each place of the answering order answers unknown callers in the weeks ahead and on the special dates of a year. */
export function answeringMoments({ attendant, hours, line, today }: ProofSubject): readonly AnsweringAt[] {
  return momentsOf(attendant.answering.rules, hours, zoneOf(line), today);
}

const momentsOf = remember(
  (rules: readonly OrderedRule[], hours: Hours, zone: TimeZone, today: string): readonly AnsweringAt[] => {
    const found = new Map<
      string,
      { slot: Slot; moments: number[]; usual: number[]; closed: number[]; open: number[] }
    >();
    const first = hours.periods[0]?.id;
    for (const { atMs, isUsual } of instants(rules, hours, zone, today)) {
      const slot = slotOfAnswer(answersAt(rules, hours, zone, atMs));
      const key = slotKey(slot);
      const known = found.get(key) ?? { slot, moments: [], usual: [], closed: [], open: [] };
      found.set(key, known);
      const { spans } = runningAt(hours, zone, atMs);
      known.moments.push(atMs);
      if (isUsual) known.usual.push(atMs);
      if (spans.length === 0) known.closed.push(atMs);
      if (spans.some(({ periodId }) => periodId === first)) known.open.push(atMs);
    }
    return [...found.values()];
  },
);

/** The beginning, the middle and the end of whatever answers in the weeks ahead, and the same of special dates. */
function instants(
  rules: readonly OrderedRule[],
  hours: Hours,
  zone: TimeZone,
  today: string,
): readonly { readonly atMs: number; readonly isUsual: boolean }[] {
  const day = readDate(today) ?? 0;
  const fromMs = wallInstant(zone, day, 0);
  const regular = answerSpans(rules, hours, zone, fromMs, fromMs + weeks * 7 * dayMs).flatMap((span) => [
    span.fromMs,
    (span.fromMs + span.toMs) / 2,
    span.toMs - minuteMs,
  ]);
  const special = occurrences(hours, day, day + specialDays).flatMap((each) => {
    const edges = dayPlan(hours, each.from).spans.flatMap(({ startMin, endMin }) => [startMin, endMin - 1]);
    return [0, 12 * 60, ...edges].map((minute) => wallInstant(zone, each.from, minute));
  });
  const isUsual = (atMs: number): boolean => dayPlan(hours, wallTime(zone, atMs).day).special === null;
  return [
    ...regular.map((atMs) => ({ atMs, isUsual: isUsual(atMs) })),
    ...special.map((atMs) => ({ atMs, isUsual: false })),
  ];
}
