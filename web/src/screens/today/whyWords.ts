import {
  runningAt,
  specialDateId,
  weekdayName,
  weekdayOf,
  type Answer,
  type Hours,
  type TimeZone,
} from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { showMinutes } from '../../parts/time';

/** When something answers, and by which hours. */
interface Moment {
  readonly hours: Hours;
  readonly timeZone: TimeZone;
  readonly atMs: number;
}

/** Why something answers: "Because Open runs on Monday from 8:00 AM to 5:30 PM." */
export function whyWords(answer: Answer, names: Names, moment: Moment): string {
  if (answer.type === 'switch') return 'Because the switch is on.';
  if (answer.type === 'callers') return `Because the caller is in ${names[answer.callerListId] ?? 'a list'}.`;
  if (answer.type === 'otherwise') return otherwiseWords(moment, names);
  if (answer.type === 'special') return `Because it is ${names[answer.specialId] ?? 'a special date'}.`;
  const { startMin, endMin, day, from } = answer.span;
  const nextDay = endMin > 1440 ? ' the next day' : '';
  const name = names[answer.periodId] ?? 'a period';
  const on = from && specialDateId.is(from) ? (names[from] ?? 'a special date') : weekdayName(weekdayOf(day));
  return `Because ${name} runs on ${on} from ${showMinutes(startMin)} to ${showMinutes(endMin)}${nextDay}.`;
}

/** Why nothing with an answer of its own answers: a special date that has none, a period that has none, or nothing runs. */
function otherwiseWords({ hours, timeZone, atMs }: Moment, names: Names): string {
  const { special, spans } = runningAt(hours, timeZone, atMs);
  if (special) return `Because it is ${special.name}, which has no answer of its own.`;
  const running = [...new Set(spans.map(({ periodId }) => names[periodId] ?? 'a period'))];
  if (running.length > 0)
    return `Because ${running.join(' and ')} ${running.length === 1 ? 'runs and has' : 'run and have'} no answer of its own.`;
  return 'Because no period runs then.';
}
