import { readDate, showDay, spansOfWeekOn, wallInstant, type DayNumber, type Hours } from '../../hours';
import { zoneOf } from '../facts';
import { remember } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts } from '../spokenTexts';
import { fixFor, isSo, timesIn, weekSaidAt } from './hoursInWords';

/** Early enough to change the words, late enough not to be forgotten again. */
const daysAhead = 60;
const noonMin = 720;

/** Words that state times which are so now, and no longer once another week begins in the weeks ahead. */
export const hoursAhead: Rule<'hoursAhead'> = {
  name: 'hoursAhead',
  grade: 'tip',
  consequence: 'misled',
  find: (subject) => {
    const today = readDate(subject.today);
    const turns = today === undefined ? [] : turnsFrom(subject.hours, today);
    if (turns.length === 0) return [];
    return spokenTexts(subject).flatMap((text) =>
      timesIn(text).flatMap((said): Found[] => {
        if (!isSo(subject, text, said, today)) return [];
        const from = turns.find((day) => !isSo(subject, text, said, day));
        if (from === undefined) return [];
        const then = weekSaidAt(subject, wallInstant(zoneOf(subject.line), from, noonMin));
        const facts = { words: said.words, from: showDay(from), then };
        return [{ at: text.at, facts, ...fixFor(subject, text, said) }];
      }),
    );
  },
};

/** The days ahead on which another week begins. */
const turnsFrom = remember((hours: Hours, today: DayNumber): readonly DayNumber[] =>
  Array.from({ length: daysAhead }, (_, by) => today + 1 + by).filter(
    (day) => spansOfWeekOn(hours, day) !== spansOfWeekOn(hours, day - 1),
  ),
);
