import { readDate } from '@locutor/core/hours';
import { sayHourOf } from '@locutor/core/traffic';
import type { CallsWanted } from '../../api/resources';
import { userDial } from '../../parts/time';
import { showDays } from './showDays';

/** What of a figure its calls are asked for by. */
const asks = ['lineId', 'from', 'to', 'weekday', 'hour'] as const;

/** The calls behind a figure, as an address asks for them; nothing where it asks for none. */
export function wantedBehind(address: URLSearchParams): CallsWanted {
  return Object.fromEntries(asks.flatMap((name) => (address.get(name) ? [[name, address.get(name) ?? '']] : [])));
}

/** Which calls they are, in words. */
export function describeBehind(address: URLSearchParams): string {
  const [from, to] = [readDate(address.get('from') ?? ''), readDate(address.get('to') ?? '')];
  const [weekday, hour] = [Number(address.get('weekday')), Number(address.get('hour') ?? -1)];
  const days = from !== undefined && to !== undefined ? showDays({ from, to }) : '';
  const isHour = weekday >= 1 && weekday <= 7 && hour >= 0 && hour <= 23;
  const when = isHour ? sayHourOf({ weekday: weekday as 1, hour }, userDial) : '';
  return ['Calls', when && `on ${when}`, days && (when ? `(${days})` : `of ${days}`)].filter((part) => part).join(' ');
}
