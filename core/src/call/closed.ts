import type { ClosedReason, Membership } from '../directory';
import { dayPlan, wallTime, type Hours, type SpecialDate, type TimeZone } from '../hours';
import type { Slot } from '../line';
import type { Source } from '../speech';
import { stepsAt } from './ready';
import { lineOf, sayThen, type Run } from './run';
import type { Next } from './state';
import { wordsItems } from './words';

/** Why a group or queue that is outside its hours is: the special date that a day of them is, or the week. */
export function closedReason(run: Run, membership: Pick<Membership, 'hoursId'>): ClosedReason {
  const { hoursId } = membership;
  return closedReasonOf(hoursId ? run.ready.hours.get(hoursId) : undefined, lineOf(run).script.timeZone, run.atMs);
}

/** Why it is closed outside these hours, at a moment in ms since 1970. */
export function closedReasonOf(hours: Hours | undefined, zone: TimeZone, atMs: number): ClosedReason {
  return specialOf(hours, zone, atMs) ? 'special' : 'closed';
}

/**
 * What a caller comes to who is outside the hours of a group or queue: what is said then, and the path for special dates on
 * one, else that for closed times, then on as if nobody had answered. Undefined while something is said.
 */
export function whenClosed(
  run: Run,
  membership: Membership,
  source: Source,
  slotFor: (reason: ClosedReason) => Slot,
  then: Next,
): Next | undefined {
  const reasons = closedReason(run, membership) === 'special' ? closedOnSpecial : closedByWeek;
  const slot = reasons.map(slotFor).find((each) => stepsAt(lineOf(run), each).length > 0);
  const onward = then.type === 'path' ? then.place : null;
  const next: Next = slot ? { type: 'path', place: { slot, stepIndex: 0, then: onward } } : then;
  const items = wordsItems(run, closedWords(run, membership), source);
  if (items.length === 0) return next;
  sayThen(run, items, next);
  return undefined;
}

const closedByWeek: readonly ClosedReason[] = ['closed'];
const closedOnSpecial: readonly ClosedReason[] = ['special', 'closed'];

/** The words of the special date itself come first, but for those of the line's own hours, which callers heard already. */
function closedWords(run: Run, membership: Membership): string {
  // What a version kept of the directory before there were such words has none.
  const { closedWords: usual = '', specialWords = '', hoursId } = membership;
  const { timeZone } = lineOf(run).script;
  const special = specialOf(hoursId ? run.ready.hours.get(hoursId) : undefined, timeZone, run.atMs);
  if (!special) return usual;
  const own = hoursId === lineOf(run).script.hours.id ? '' : special.words;
  return own || specialWords || usual;
}

function specialOf(hours: Hours | undefined, zone: TimeZone, atMs: number): SpecialDate | null {
  return hours ? dayPlan(hours, wallTime(zone, atMs).day).special : null;
}
