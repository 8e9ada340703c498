import { countryOf } from '../../directory';
import { emergencyNumbersSaid, emergencyNumbersOf } from '../reading/emergency';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that send callers in an emergency to a number that is none in the line's country. */
export const emergencyNumber: Rule<'emergencyNumber'> = {
  name: 'emergencyNumber',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => {
    const country = countryOf(subject.line);
    const right = country ? emergencyNumbersOf(country) : undefined;
    if (!right) return [];
    return spokenTexts(subject).flatMap((text): Found[] => {
      const said = numbersIn(text).find((number) => !right.includes(number));
      return said ? [{ at: text.at, facts: { said, right: right[0] ?? '' } }] : [];
    });
  },
};

const numbersIn = rememberBy(({ words }: SpokenText) => emergencyNumbersSaid(words));
