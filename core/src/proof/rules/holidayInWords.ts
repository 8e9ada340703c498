import {
  dayPlan,
  occurrences,
  readDate,
  showDay,
  weekdayName,
  weekdayOf,
  type DayNumber,
  type Hours,
  type SpecialDate,
} from '../../hours';
import { languageOf } from '../../line';
import { backSaid, type BackSaid } from '../reading/backSaid';
import { statesSaid } from '../reading/stateSaid';
import { remember } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts } from '../spokenTexts';

/** Words of a special date that are not so by how long it lasts, what is open then, or when it opens again. */
export const holidayInWords: Rule<'holidayInWords'> = {
  name: 'holidayInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap(({ place, words, voice }): Found[] => {
      if (place.type !== 'special') return [];
      const { hours, today } = subject;
      const id = place.specialId;
      const days = nextDays(hours, today).get(id);
      const at = { type: 'hours', specialId: id } as const;
      if (!days) return [];
      const state = untrueState(words, voice, hours, days);
      if (state) return [{ at, facts: state }];
      const back = untrueBack(words, hours, days);
      if (!back) return [];
      const { opens, ...said } = back;
      const facts = { words: said.words, why: 'opensOn', opens: showDay(opens) };
      const right = words.replace(said.day, weekdayName(weekdayOf(opens)));
      const isEnglish = languageOf(voice) === 'en' && said.on !== 'tomorrow';
      const rowFix = { type: 'special', id: hours.id, specialId: id, words: right } as const;
      return [{ at, facts, ...(isEnglish && { rowFix }) }];
    }),
};

interface Days {
  readonly from: DayNumber;
  readonly to: DayNumber;
}

const daysAhead = 400;

/** When each special date comes next. */
const nextDays = remember((hours: Hours, today: string): ReadonlyMap<SpecialDate['id'], Days> => {
  const now = readDate(today) ?? 0;
  return new Map([...occurrences(hours, now, now + daysAhead)].reverse().map((each) => [each.date.id, each] as const));
});

/** They are heard all day long, whatever runs. */
function untrueState(
  words: string,
  voice: Parameters<typeof statesSaid>[1],
  hours: Hours,
  { from, to }: Days,
): Readonly<Record<string, string>> | undefined {
  const said = statesSaid(words, voice).find(({ days }) => days.length === 0);
  if (!said) return undefined;
  const all = Array.from({ length: to - from + 1 }, (_, index) => from + index);
  const isOpen = (day: DayNumber): boolean => opensOn(hours, day);
  if (said.state === 'closed' && all.some(isOpen)) return { words: said.words, why: 'opensThen' };
  if (said.state === 'open' && !all.some(isOpen)) return { words: said.words, why: 'closedThen' };
  return undefined;
}

function untrueBack(
  words: string,
  hours: Hours,
  { from, to }: Days,
): (BackSaid & { readonly opens: DayNumber }) | undefined {
  const said = backSaid(words);
  if (!said) return undefined;
  const opens = firstOpen(hours, to + 1);
  if (opens === undefined) return undefined;
  const isSo = said.on === 'tomorrow' ? from === to && opens === to + 1 : weekdayOf(opens) === said.on;
  return isSo ? undefined : { ...said, opens };
}

const mostClosedDays = 30;

function firstOpen(hours: Hours, from: DayNumber): DayNumber | undefined {
  for (let day = from; day < from + mostClosedDays; day += 1) if (opensOn(hours, day)) return day;
  return undefined;
}

function opensOn(hours: Hours, day: DayNumber): boolean {
  const first = hours.periods[0]?.id;
  return dayPlan(hours, day).spans.some(({ periodId }) => periodId === first);
}
