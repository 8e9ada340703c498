import { sayDays, weekdayName, weekdayOf, type DayNumber } from '../../hours';
import type { Names } from '../../line';
import type { DayBeside } from '../dayBeside';
import type { Worth } from '../worthKnowing';
import { saySeconds } from './answered.en';
import { percent, sayHourOf, type Dial } from './when.en';

/** The day so far, beside such a day as it usually is. */
export function describeDay({ calls, lost, messages, days, usualByNow }: DayBeside, today: DayNumber): string {
  const so =
    calls === 0 ? 'Nobody has called today.' : `${count(calls, 'call')} so far today${whatOf(lost, messages)}.`;
  if (!usualByNow || days < 3) return so;
  const { low, high } = usualByNow;
  const many = low === high ? count(low, 'call') : `${low} to ${high} calls`;
  const name = weekdayName(weekdayOf(today));
  const usual = high === 0 ? 'usually nobody has called' : `there are usually ${many}`;
  return `${so} By this time on a ${name} ${usual}${compared(calls, low, high)}.`;
}

function whatOf(lost: number, messages: number): string {
  const parts = [
    ...(messages > 0 ? [count(messages, 'message')] : []),
    ...(lost > 0 ? [`${lost} hung up or reached nobody`] : []),
  ];
  return parts.length > 0 ? `: ${parts.join(', ')}` : '';
}

function compared(calls: number, low: number, high: number): string {
  if (calls > high + Math.max(2, high / 4)) return ', so it is a busy day';
  return calls < low - Math.max(2, low / 4) ? ', so it is a quiet day' : '';
}

/** Something worth knowing, in a sentence. */
export function describeWorth(worth: Worth, names: Names, labelOf: LabelOf, dial: Dial): string {
  const sheet = (id: string): string => names[id] ?? 'a deleted sheet';
  switch (worth.type) {
    case 'lostChanged': {
      const { before, after } = worth.change;
      const [was, is] = [Math.round(100 * before), Math.round(100 * after)];
      return `${is}% of callers hung up or reached nobody in the last four weeks, ${is > was ? 'up' : 'down'} from ${was}% in the four before.`;
    }
    case 'worstHour': {
      const { lost, calls } = worth.hour;
      return `On ${sayHourOf(worth.hour, dial)}, ${lost} of ${calls} callers hung up or reached nobody.`;
    }
    case 'whileClosed':
      return `${percent(worth.calls, worth.of)} of calls come while you are closed.`;
    case 'hangUps':
      return `${percent(worth.hungUp, worth.visits)} of those who come to ${sheet(worth.sheetId)} hang up in it.`;
    case 'wrongKeys':
      return `${percent(worth.wrong, worth.visits)} of those who come to ${sheet(worth.sheetId)} press only keys that have no use.`;
    case 'slow':
      return `Half of the callers wait longer than ${saySeconds(worth.medianMs)} until somebody answers, one in ten longer than ${saySeconds(worth.nineTenthsMs)}.`;
    case 'moreCalls': {
      const times = worth.calls / worth.before;
      const by = times > 1 ? `${Math.round(100 * (times - 1))}% more` : `${Math.round(100 * (1 - times))}% fewer`;
      return `${worth.calls.toLocaleString('en')} calls came in the last four weeks, ${by} than in the four before.`;
    }
    case 'unpressed': {
      const label = labelOf(worth.sheetId, worth.key);
      return `Nobody pressed ${worth.key}${label ? ` (${label})` : ''} in ${sheet(worth.sheetId)} in ${sayDays(worth.days)}.`;
    }
  }
}

/** What a key of a sheet is said to be for. */
export type LabelOf = (sheetId: string, key: string) => string | undefined;

function count(number: number, what: string): string {
  return number === 1 ? `One ${what}` : `${number.toLocaleString('en')} ${what}s`;
}
