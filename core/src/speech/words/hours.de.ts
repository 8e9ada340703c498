import { minutesOfDay } from '../../hours';
import { joinWords, type HoursWords } from '../hoursWords';

const days = ['Montag', 'Dienstag', 'Mittwoch', 'Donnerstag', 'Freitag', 'Samstag', 'Sonntag'];
const months = 'Januar Februar März April Mai Juni Juli August September Oktober November Dezember'.split(' ');
const dayName = (day: number): string => days[day - 1] ?? '';

function time(minutes: number): string {
  const ofDay = minutes % minutesOfDay;
  if (ofDay === 0) return 'Mitternacht';
  const [hour, minute] = [Math.floor(ofDay / 60), ofDay % 60];
  return `${hour === 1 ? 'ein' : hour} Uhr${minute ? ` ${minute}` : ''}`;
}

export const hoursWords: HoursWords = {
  range: ({ startMin, endMin }) => `${time(startMin)} bis ${time(endMin)}`,
  days: (runs) =>
    joinWords(
      runs.map(({ first, last }) => (first === last ? dayName(first) : `${dayName(first)} bis ${dayName(last)}`)),
      'und',
    ),
  and: 'und',
  everyDay: 'täglich',
  aroundTheClock: 'rund um die Uhr',
  nextDay: 'am nächsten Tag',
  closed: 'geschlossen',
  opening: ({ date, weekday, startMin, daysAhead }) => {
    const at = startMin % minutesOfDay === 0 ? 'um Mitternacht' : `um ${time(startMin)}`;
    if (daysAhead === 0) return `heute ${at}`;
    if (daysAhead === 1) return `morgen ${at}`;
    if (daysAhead < 7) return `am ${dayName(weekday)} ${at}`;
    const [, month = 1, day = 1] = date.split('-').map(Number);
    return `am ${dayName(weekday)}, dem ${day}. ${months[month - 1] ?? ''}, ${at}`;
  },
};
