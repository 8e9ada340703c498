import { outcomes } from '@locutor/core/call';
import { readDate } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { outcomeWords, saySeconds, sayHourOf, sayHours, type Choice } from '@locutor/core/traffic';
import type { CallsWanted } from '../../api/resources';
import { userDial } from '../../parts/time';
import { targetNameOf } from './answeredWords';
import { choiceWords } from './choiceWords';
import { showDays } from './showDays';

/** What of a figure its calls are asked for by. */
const asks = [
  ...(['lineId', 'from', 'to', 'weekday', 'hour', 'who', 'ringEnd', 'through', 'sheetId', 'choice', 'first'] as const),
  ...(['boxId', 'fate', 'outcome', 'afterS', 'untilS'] as const),
] as const;
export type BehindAsked = Readonly<Partial<Record<(typeof asks)[number], string>>>;

/** Where the calls behind a figure are looked at. */
export function callsBehind(asked: BehindAsked): string {
  return `/traffic/calls?${new URLSearchParams(asked).toString()}`;
}

/** The calls behind a figure, as an address asks for them; nothing where it asks for none. */
export function wantedBehind(address: URLSearchParams): CallsWanted {
  return Object.fromEntries(asks.flatMap((name) => (address.get(name) ? [[name, address.get(name) ?? '']] : [])));
}

const fateWords: Readonly<Record<string, string>> = {
  reached: 'in which somebody was reached',
  message: 'in which a message was left',
  served: 'of callers who wanted nobody',
  lost: 'that were lost',
};
const ringWords: Readonly<Record<string, string>> = {
  answered: 'which they answered',
  declined: 'which they declined',
  letRing: 'which they let ring',
  stopped: 'which they had no time to answer',
};

/** Which calls they are, in words; what can be picked beside the list is left out. */
export function describeBehind(address: URLSearchParams, names: Names): string {
  const get = (name: (typeof asks)[number]): string => address.get(name) ?? '';
  const [from, to] = [readDate(get('from')), readDate(get('to'))];
  const days = from !== undefined && to !== undefined ? showDays({ from, to }) : '';
  const parts = [
    whenWords(get('weekday'), get('hour')),
    ringWords[get('ringEnd')] ?? '',
    get('through') && `that came to ${targetNameOf(get('through'), names)}`,
    sheetWords(get('sheetId'), get('choice') as Choice | '', names),
    fateWords[get('fate')] ?? '',
    answeredWords(Number(get('afterS')), Number(get('untilS'))),
  ].filter((part) => part !== '');
  if (days) parts.push(parts.length > 0 ? `(${days})` : `of ${days}`);
  return parts.length > 0 ? ['Calls', ...parts].join(' ') : '';
}

function whenWords(weekdayText: string, hourText: string): string {
  if (hourText === '') return '';
  const [weekday, hour] = [Number(weekdayText), Number(hourText)];
  if (!(hour >= 0 && hour <= 23)) return '';
  const isDay = weekday >= 1 && weekday <= 7;
  return isDay ? `on ${sayHourOf({ weekday: weekday as 1, hour }, userDial)}` : `between ${sayHours(hour, userDial)}`;
}

function sheetWords(sheetId: string, choice: Choice | '', names: Names): string {
  if (sheetId === '') return '';
  const name = names[sheetId] ?? 'a deleted sheet';
  return choice === '' ? `that came to ${name}` : `in ${name}: ${choiceWords(choice)}`;
}

function answeredWords(afterS: number, untilS: number): string {
  if (untilS > 0)
    return afterS > 0
      ? `answered after ${saySeconds(afterS * 1000)} to ${saySeconds(untilS * 1000)}`
      : `answered within ${saySeconds(untilS * 1000)}`;
  return afterS > 0 ? `answered after more than ${saySeconds(afterS * 1000)}` : '';
}

/** What calls came to, to pick from. */
export const outcomeChoices = [
  { value: 'any', label: 'All calls' },
  ...outcomes.map((value) => ({ value, label: outcomeWords[value] })),
];
