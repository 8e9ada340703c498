import { mayBeSame } from '../reading/sameThing';
import type { Found, Rule } from '../rule';
import { spokenTexts } from '../spokenTexts';
import { pricesIn } from './priceInWords';

/** Two places that state different prices for what seems to be the same. */
export const pricesDiffer: Rule<'pricesDiffer'> = {
  name: 'pricesDiffer',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => {
    const all = spokenTexts(subject).flatMap((text) => pricesIn(text).map((said) => ({ at: text.at, ...said })));
    return all.flatMap((one, index): Found[] => {
      const other = all
        .slice(0, index)
        .find(
          (each) =>
            each.price !== one.price && each.about !== '' && one.about !== '' && isSameThing(each.about, one.about),
        );
      return other ? [{ at: one.at, facts: { price: one.price, other: other.price } }] : [];
    });
  },
};

function isSameThing(one: string, other: string): boolean {
  return /\p{L}{4}/u.test(one) && /\p{L}{4}/u.test(other) && mayBeSame(one, other);
}
