import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { saidLive, spokenTexts, type SpokenText } from '../spokenTexts';

/** A welcome in the name of a business that this one is not called. */
export const businessInWords: Rule<'businessInWords'> = {
  name: 'businessInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text): Found[] => {
      const said = businessIn(text);
      if (!said || isNameOf(said, subject)) return [];
      return [
        {
          at: text.at,
          facts: { said, name: subject.line.name },
          ...saidLive(subject, text, said, '{business}', 'say the name of the business live'),
        },
      ];
    }),
};

const businessIn = rememberBy(
  ({ words }: SpokenText) =>
    /\b(?:calling|called|welcome to)\s+((?:\p{Lu}[\p{L}\p{N}’'&-]*)(?:\s+(?:of\s+|the\s+|and\s+|&\s+)?\p{Lu}[\p{L}\p{N}’'&-]*)*)/u.exec(
      words,
    )?.[1],
);

/** Whether any line of the business shares a word with the name. */
function isNameOf(said: string, { line, lines }: ProofSubject): boolean {
  const words = new Set(wordsOf(said));
  return [line, ...lines].some(({ name }) => wordsOf(name).some((word) => words.has(word)));
}

function wordsOf(name: string): readonly string[] {
  return name.toLowerCase().match(/[\p{L}\p{N}]{3,}/gu) ?? [];
}
