import { specialDateId, weekdayName, weekdayOf, type Answer } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { showMinutes } from '../../parts/time';

/** Why something answers: "Because Open runs on Monday from 8:00 AM to 5:30 PM." */
export function whyWords(answer: Answer, names: Names): string {
  if (answer.type === 'switch') return 'Because the switch is on.';
  if (answer.type === 'callers') return `Because the caller is in ${names[answer.callerListId] ?? 'a list'}.`;
  if (answer.type === 'otherwise') return 'Because no period with an answer of its own runs.';
  if (answer.type === 'special') return `Because it is ${names[answer.specialId] ?? 'a special date'}.`;
  const { startMin, endMin, day, from } = answer.span;
  const nextDay = endMin > 1440 ? ' the next day' : '';
  const name = names[answer.periodId] ?? 'a period';
  const on = from && specialDateId.is(from) ? (names[from] ?? 'a special date') : weekdayName(weekdayOf(day));
  return `Because ${name} runs on ${on} from ${showMinutes(startMin)} to ${showMinutes(endMin)}${nextDay}.`;
}
