import { minutesOfDay } from '../../hours';
import { joinWords, type HoursWords } from '../hoursWords';

const days = ['lundi', 'mardi', 'mercredi', 'jeudi', 'vendredi', 'samedi', 'dimanche'];
const months = 'janvier février mars avril mai juin juillet août septembre octobre novembre décembre'.split(' ');
const dayName = (day: number): string => days[day - 1] ?? '';

function time(minutes: number): string {
  const ofDay = minutes % minutesOfDay;
  if (ofDay === 0) return 'minuit';
  if (ofDay === 720) return 'midi';
  const [hour, minute] = [Math.floor(ofDay / 60), ofDay % 60];
  return `${hour === 1 ? 'une heure' : `${hour} heures`}${minute ? ` ${minute}` : ''}`;
}

export const hoursWords: HoursWords = {
  range: ({ startMin, endMin }) => `de ${time(startMin)} à ${time(endMin)}`,
  days: (runs) =>
    joinWords(
      runs.map(({ first, last }) =>
        first === last ? `le ${dayName(first)}` : `du ${dayName(first)} au ${dayName(last)}`,
      ),
      'et',
    ),
  and: 'et',
  everyDay: 'tous les jours',
  aroundTheClock: 'jour et nuit',
  nextDay: 'le lendemain',
  closed: 'fermé',
  opening: ({ date, weekday, startMin, daysAhead }) => {
    const at = `à ${time(startMin)}`;
    if (daysAhead === 0) return `aujourd'hui ${at}`;
    if (daysAhead === 1) return `demain ${at}`;
    if (daysAhead < 7) return `${dayName(weekday)} ${at}`;
    const [, month = 1, day = 1] = date.split('-').map(Number);
    return `${dayName(weekday)} ${day === 1 ? 'premier' : day} ${months[month - 1] ?? ''} ${at}`;
  },
};
