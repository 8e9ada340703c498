import { mayBeSame } from '../reading/sameThing';
import type { Found, FindingPlace, ProofSubject, Rule } from '../rule';
import { findSheet } from '../../line';
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
      return other
        ? [{ at: one.at, facts: { price: one.price, other: other.price, elsewhere: nameOf(subject, other.at) } }]
        : [];
    });
  },
};

/** Where the other price is said, by name. */
function nameOf({ attendant, greetings, queues, boxes }: ProofSubject, at: FindingPlace): string {
  if (at.type === 'sheet') return findSheet(attendant, at.sheetId)?.name ?? '';
  const rows: readonly { readonly id: string; readonly name: string }[] = [...greetings, ...queues, ...boxes];
  return at.type === 'row' ? (rows.find(({ id }) => id === at.id)?.name ?? '') : '';
}

function isSameThing(one: string, other: string): boolean {
  return /\p{L}{4}/u.test(one) && /\p{L}{4}/u.test(other) && mayBeSame(one, other);
}
