import { minutesOfDay, weekdayName } from '../../hours';
import { joinWords, type HoursWords } from '../hoursWords';

const numbers =
  'twelve one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const tens = ['', 'ten', 'twenty', 'thirty', 'forty', 'fifty'];
const ordinals =
  'first second third fourth fifth sixth seventh eighth ninth tenth eleventh twelfth thirteenth fourteenth fifteenth sixteenth seventeenth eighteenth nineteenth twentieth'.split(
    ' ',
  );
const months = 'January February March April May June July August September October November December'.split(' ');
const noon = 720;
const evening = 1020;

/** A time of day without its half: "eight", "half past five", "ten twenty", "noon". */
function plain(minutes: number): string {
  const ofDay = minutes % minutesOfDay;
  if (ofDay === 0) return 'midnight';
  if (ofDay === noon) return 'noon';
  const [hour, minute] = [Math.floor(ofDay / 60), ofDay % 60];
  if (minute === 0) return hourName(hour);
  if (minute === 30) return `half past ${hourName(hour)}`;
  if (minute === 15) return `a quarter past ${hourName(hour)}`;
  if (minute === 45) return `a quarter to ${hourName(hour + 1)}`;
  return `${hourName(hour)} ${minute < 10 ? `oh ${under60(minute)}` : under60(minute)}`;
}

function hourName(hour: number): string {
  return numbers[hour % 12] ?? '';
}

function under60(value: number): string {
  if (value < 20) return numbers[value] ?? '';
  const rest = value % 10;
  return `${tens[Math.floor(value / 10)] ?? ''}${rest ? `-${numbers[rest] ?? ''}` : ''}`;
}

/** With the part of the day, where the time alone could be taken for another. */
function exact(minutes: number): string {
  const said = plain(minutes);
  return said === 'noon' || said === 'midnight' ? said : `${said} ${partOfDay(minutes)}`;
}

function partOfDay(minutes: number): string {
  const ofDay = minutes % minutesOfDay;
  if (ofDay < noon) return 'in the morning';
  return ofDay < evening ? 'in the afternoon' : 'in the evening';
}

function dayOfMonth(day: number): string {
  if (day <= 20) return ordinals[day - 1] ?? '';
  if (day === 30) return 'thirtieth';
  return `${day > 30 ? 'thirty' : 'twenty'}-${ordinals[(day % 10) - 1] ?? ''}`;
}

/** As people say it who tell halves and quarters: "half past seven to five". The part of the day is said where it is needed. */
export const hoursWords: HoursWords = {
  range: ({ startMin, endMin }) => {
    const isUsual =
      startMin >= 300 && startMin < evening && endMin > noon && endMin <= 1200 && endMin - startMin < noon;
    if (isUsual || endMin === noon) return `${plain(startMin)} to ${plain(endMin)}`;
    if (endMin > minutesOfDay || endMin - startMin >= noon) return `${exact(startMin)} to ${exact(endMin)}`;
    return `${plain(startMin)} to ${exact(endMin)}`;
  },
  days: (runs) =>
    joinWords(
      runs.map(({ first, last }) =>
        first === last ? weekdayName(first) : `${weekdayName(first)} to ${weekdayName(last)}`,
      ),
      'and',
    ),
  and: 'and',
  everyDay: 'every day',
  aroundTheClock: 'around the clock',
  nextDay: 'the next day',
  closed: 'closed',
  opening: ({ date, weekday, startMin, daysAhead }) => {
    const isUsual = startMin >= 420 && startMin < evening;
    const at = startMin % minutesOfDay === 0 || startMin === noon || isUsual ? plain(startMin) : exact(startMin);
    if (daysAhead === 0) return `today at ${at}`;
    if (daysAhead === 1) return `tomorrow at ${at}`;
    if (daysAhead < 7) return `${weekdayName(weekday)} at ${at}`;
    const [, month = 1, day = 1] = date.split('-').map(Number);
    return `${weekdayName(weekday)} the ${dayOfMonth(day)} of ${months[month - 1] ?? ''} at ${at}`;
  },
};

/** As people say it who tell minutes: "seven thirty a.m. to five p.m." */
export const amPmWords: HoursWords = {
  ...hoursWords,
  range: ({ startMin, endMin }) => {
    const isOneHalf = endMin < minutesOfDay && Math.floor(startMin / noon) === Math.floor(endMin / noon);
    return `${isOneHalf && startMin % noon !== 0 ? minutesSaid(startMin) : amPm(startMin)} to ${amPm(endMin)}`;
  },
  opening: ({ date, weekday, startMin, daysAhead }) => {
    const at = amPm(startMin);
    if (daysAhead === 0) return `today at ${at}`;
    if (daysAhead === 1) return `tomorrow at ${at}`;
    if (daysAhead < 7) return `${weekdayName(weekday)} at ${at}`;
    const [, month = 1, day = 1] = date.split('-').map(Number);
    return `${weekdayName(weekday)}, ${months[month - 1] ?? ''} ${dayOfMonth(day)}, at ${at}`;
  },
};

function amPm(minutes: number): string {
  const ofDay = minutes % minutesOfDay;
  if (ofDay === 0) return 'midnight';
  return ofDay === noon ? 'noon' : `${minutesSaid(ofDay)} ${ofDay < noon ? 'a.m.' : 'p.m.'}`;
}

/** "seven", "seven thirty", "eight oh five". */
function minutesSaid(minutes: number): string {
  const [hour, minute] = [Math.floor((minutes % minutesOfDay) / 60), minutes % 60];
  if (minute === 0) return hourName(hour);
  return `${hourName(hour)} ${minute < 10 ? `oh ${under60(minute)}` : under60(minute)}`;
}
