import type { Language } from '../../line';
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

/** What comes before a number that is said to be the business's own, in each language; which one words are in need not be known. */
const leads: Readonly<Record<Language, string>> = {
  en: "you\\s+(?:have|['’]ve)\\s+reached|our\\s+(?:new\\s+|main\\s+|direct\\s+)?(?:phone\\s+|telephone\\s+)?number\\s+is|call(?:\\s+us)?(?:\\s+back)?\\s+(?:at|on)|(?:reach|ring|phone)\\s+us\\s+(?:at|on)",
  fr: '(?:appelez|rappelez|joignez|contactez)[-\\s]nous\\s+au|nous\\s+(?:appeler|joindre|rappeler)\\s+au|notre\\s+num[ée]ro\\s+est(?:\\s+le)?',
  es: '(?:ll[áa]menos|ll[áa]manos|llamarnos|cont[áa]ctenos)\\s+al|nuestro\\s+(?:n[úu]mero|tel[ée]fono)\\s+es(?:\\s+el)?',
  de: '(?:erreichen\\s+(?:Sie\\s+)?uns|rufen\\s+Sie(?:\\s+uns)?)\\s+(?:\\p{L}+\\s+)?unter(?:\\s+der(?:\\s+Telefon|\\s+)nummer)?|unsere\\s+(?:Telefon|Ruf)?nummer\\s+(?:ist|lautet)(?:\\s+die)?',
};
const own = new RegExp(`(?<!\\p{L})(?:${Object.values(leads).join('|')})\\s+(\\+?\\d[\\d\\s/().-]{5,18}\\d)`, 'giu');

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
