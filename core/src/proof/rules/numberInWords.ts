import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that give a telephone number as the business's own which none of its lines has. */
export const numberInWords: Rule<'numberInWords'> = {
  name: 'numberInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text): Found[] => {
      const said = ownNumbersIn(text).find((number) => !isKnown(subject, number));
      return said ? [{ at: text.at, facts: { said } }] : [];
    }),
};

const own =
  /\b(?:you\s+(?:have|['’]ve)\s+reached|our\s+(?:new\s+|main\s+|direct\s+)?(?:phone\s+|telephone\s+)?number\s+is|call(?:\s+us)?(?:\s+back)?\s+(?:at|on)|(?:reach|ring|phone)\s+us\s+(?:at|on))\s+(\+?[\d][\d\s().-]{5,18}\d)/giu;

const ownNumbersIn = rememberBy(({ words }: SpokenText) =>
  [...words.matchAll(own)].map(([, said = '']) => said.trim()),
);

/** By the digits at its end: words leave the country out. */
function isKnown({ line, lines, contacts, groups, people }: ProofSubject, said: string): boolean {
  const digits = said.replace(/\D/gu, '').replace(/^0+/u, '');
  const known = [
    ...[line, ...lines].map(({ number }) => number),
    ...contacts.map(({ number }) => number),
    ...groups.map(({ directNumber }) => directNumber),
    ...people.flatMap(({ phones }) => phones.flatMap((phone) => (phone.type === 'outside' ? [phone.number] : []))),
  ];
  return known.some((number) => number !== '' && number.replace(/\D/gu, '').endsWith(digits));
}
