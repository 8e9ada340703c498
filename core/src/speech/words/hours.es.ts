import { minutesOfDay } from '../../hours';
import { joinWords, type HoursWords } from '../hoursWords';

const days = ['lunes', 'martes', 'miércoles', 'jueves', 'viernes', 'sábado', 'domingo'];
const months = 'enero febrero marzo abril mayo junio julio agosto septiembre octubre noviembre diciembre'.split(' ');
const dayName = (day: number): string => days[day - 1] ?? '';

function time(minutes: number): string {
  const ofDay = minutes % minutesOfDay;
  if (ofDay === 0) return 'la medianoche';
  if (ofDay === 720) return 'el mediodía';
  const [hour, minute] = [Math.floor(ofDay / 60), ofDay % 60];
  const part = minute === 30 ? ' y media' : minute === 15 ? ' y cuarto' : minute ? ` y ${minute}` : '';
  return `${hour === 1 ? 'la una' : `las ${hour}`}${part}`;
}

const at = (minutes: number): string => `a ${time(minutes)}`.replace(/^a el /, 'al ');
const from = (minutes: number): string => `de ${time(minutes)}`.replace(/^de el /, 'del ');

export const hoursWords: HoursWords = {
  range: ({ startMin, endMin }) => `${from(startMin)} ${at(endMin)}`,
  days: (runs) =>
    joinWords(
      runs.map(({ first, last }) => (first === last ? dayName(first) : `de ${dayName(first)} a ${dayName(last)}`)),
      'y',
    ),
  and: 'y',
  everyDay: 'todos los días',
  aroundTheClock: 'las veinticuatro horas',
  nextDay: 'del día siguiente',
  closed: 'cerrado',
  opening: ({ date, weekday, startMin, daysAhead }) => {
    if (daysAhead === 0) return `hoy ${at(startMin)}`;
    if (daysAhead === 1) return `mañana ${at(startMin)}`;
    if (daysAhead < 7) return `el ${dayName(weekday)} ${at(startMin)}`;
    const [, month = 1, day = 1] = date.split('-').map(Number);
    return `el ${dayName(weekday)} ${day} de ${months[month - 1] ?? ''} ${at(startMin)}`;
  },
};
