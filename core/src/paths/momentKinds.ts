import type { CallScript, LineScript } from '../call';
import type { CallerListId } from '../directory';
import {
  answersAt,
  answerSpans,
  dayAt,
  occurrences,
  readDate,
  runningAt,
  wallInstant,
  wallTime,
  type Answer,
  type SpecialDateId,
} from '../hours';
import { slotKey, slotOfAnswer, usableSwitch, type Slot } from '../line';

/** A kind of moment at which callers may ring: all that are alike in what answers, with one of them to stand for it. */
export interface MomentKind {
  /** Tells kinds apart: what answers, and the special date whose words are heard first. */
  readonly key: string;
  readonly slot: Slot;
  readonly answer: Answer;
  readonly specialId: SpecialDateId | null;
  /** For callers of this list only; null for everybody else. */
  readonly callerListId: CallerListId | null;
  /** The first such moment ahead, in ms since 1970, well within it. */
  readonly atMs: number;
}

const weeks = 3;
const specialDays = 400;
const dayMs = 86_400_000;

/** Every kind of moment ahead: each period, what answers otherwise, each special date of a year, the switch, the lists. */
export function momentKinds(script: CallScript, fromMs: number): readonly MomentKind[] {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) return [];
  const found = new Map<string, MomentKind>();
  for (const kind of [
    ...switchKind(line, fromMs),
    ...weekKinds(line, fromMs),
    ...specialKinds(line, fromMs),
    ...listKinds(script, line, fromMs),
  ]) {
    if (!found.has(kind.key)) found.set(kind.key, kind);
  }
  return [...found.values()];
}

function kindAt(line: LineScript, atMs: number, answer: Answer, callerListId: CallerListId | null = null): MomentKind {
  const slot = slotOfAnswer(answer);
  const specialId = callerListId ? null : (runningAt(line.hours, line.timeZone, atMs).special?.id ?? null);
  const key = [slotKey(slot), specialId ?? '', callerListId ?? ''].join(' ').trim();
  return { key, slot, answer, specialId, callerListId, atMs };
}

function switchKind(line: LineScript, fromMs: number): readonly MomentKind[] {
  const switched = usableSwitch(line.attendant, line.switched);
  if (!switched || fromMs < switched.fromMs || fromMs >= switched.untilMs) return [];
  const answer: Answer = { type: 'switch', to: switched.to, untilMs: switched.untilMs };
  return [{ ...kindAt(line, fromMs, answer), key: `switch ${slotKey(slotOfAnswer(answer))}`, specialId: null }];
}

function weekKinds(line: LineScript, fromMs: number): readonly MomentKind[] {
  const { rules } = line.attendant.answering;
  return answerSpans(rules, line.hours, line.timeZone, fromMs, fromMs + weeks * 7 * dayMs)
    .map((span) => {
      // A little after it began: what is said of today and of the next opening is then what most callers hear.
      const isNow = span.fromMs === fromMs;
      const atMs = isNow ? fromMs : span.fromMs + Math.min((span.toMs - span.fromMs) / 2, 2 * 3_600_000);
      return kindAt(line, atMs, answersAt(rules, line.hours, line.timeZone, atMs));
    })
    .filter(({ specialId }) => specialId === null);
}

function specialKinds(line: LineScript, fromMs: number): readonly MomentKind[] {
  const { rules } = line.attendant.answering;
  const today = readDate(dayAt(fromMs, line.timeZone)) ?? 0;
  return occurrences(line.hours, today, today + specialDays).flatMap(({ date, from, to }) => {
    const day = Math.max(from, today);
    const minutes = [10 * 60, 12 * 60, 15 * 60, 18 * 60, 60, 23 * 60];
    const moments = minutes.map((minute) => wallInstant(line.timeZone, day, minute)).filter((atMs) => atMs >= fromMs);
    const atMs = moments.find((each) => runningAt(line.hours, line.timeZone, each).special?.id === date.id);
    if (atMs === undefined || day > to || wallTime(line.timeZone, atMs).day !== day) return [];
    return [kindAt(line, atMs, answersAt(rules, line.hours, line.timeZone, atMs))];
  });
}

function listKinds(script: CallScript, line: LineScript, fromMs: number): readonly MomentKind[] {
  return line.attendant.answering.rules.flatMap((rule) =>
    rule.type === 'callers' && script.callerLists.some(({ id }) => id === rule.callerListId)
      ? [kindAt(line, fromMs, { type: 'callers', callerListId: rule.callerListId }, rule.callerListId)]
      : [],
  );
}
