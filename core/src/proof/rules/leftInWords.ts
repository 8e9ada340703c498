import { idsInWords, readPieces } from '../../line';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Something left in words that was to be filled in, or a live part of somebody or something that is gone. */
export const leftInWords: Rule<'leftInWords'> = {
  name: 'leftInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => [
    ...spokenTexts(subject).flatMap((text): Found[] => {
      const [blank] = blanksIn(text);
      if (blank) return [{ at: text.at, facts: { words: blank, why: 'blank' } }];
      return partsIn(text).some((id) => !isThere(subject, id)) ? [{ at: text.at, facts: { why: 'gone' } }] : [];
    }),
  ],
};

const blank =
  /\[[^\]\n]{2,60}\]|<[^<>\n]{2,60}>|\{[^{}\n]{1,80}\}|\b(?:lorem ipsum|tbd|todo|xxx+|insert (?:your )?(?:name|company|business)[^.,\n]{0,30}|your (?:company|business) name(?: here)?|company name here)\b|_{3,}/giu;

const blanksIn = rememberBy(({ typed, words }: SpokenText): readonly string[] => {
  const plain = typed.includes('{') ? [...typed.matchAll(/\{[^{}\n]{1,80}\}/gu)].map(([all]) => all) : [];
  const unknown = plain.filter((braces) => readPieces(braces).every(({ type }) => type === 'text'));
  return [...unknown, ...[...words.matchAll(blank)].map(([all]) => all)];
});

const partsIn = rememberBy(({ typed }: SpokenText): readonly string[] => idsInWords(typed));

function isThere({ people, allHours }: ProofSubject, id: string): boolean {
  return people.some((person) => person.id === id) || allHours.some((hours) => hours.id === id);
}
