import type { Found, Rule } from '../rule';
import { spokenTexts } from '../spokenTexts';
import { untrueDates } from '../statedDates';

/** Words that state a date which is over, or not what they say it is. Those of special dates have a rule of their own. */
export const dateInWords: Rule<'dateInWords'> = {
  name: 'dateInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject)
      .filter(({ at }) => at.type !== 'hours')
      .flatMap((text) =>
        untrueDates(text, subject.hours, subject.today).map(({ words, why }): Found => ({
          at: text.at,
          facts: { words, why },
        })),
      ),
};
