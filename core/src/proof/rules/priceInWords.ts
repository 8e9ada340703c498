import { pricesSaid } from '../reading/pricesSaid';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that state a price, which nothing here knows to be right. */
export const priceInWords: Rule<'priceInWords'> = {
  name: 'priceInWords',
  grade: 'tip',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text) =>
      pricesIn(text).map(({ price }): Found => ({ at: text.at, facts: { price } })),
    ),
};

export const pricesIn = rememberBy(({ words }: SpokenText) => pricesSaid(words));
