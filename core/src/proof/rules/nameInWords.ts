import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that speak of somebody who has left. */
export const nameInWords: Rule<'nameInWords'> = {
  name: 'nameInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => {
    const here = new Set(subject.people.map(({ name }) => plain(name)));
    const gone = subject.leavers.filter((name) => !here.has(plain(name)) && /\s/.test(name.trim()));
    if (gone.length === 0) return [];
    // A business may be called by somebody who left it long ago.
    const own = [subject.line, ...subject.lines].map(({ name }) => plain(name));
    return spokenTexts(subject).flatMap((text) =>
      gone
        .filter((name) => withoutNames(plainWords(text), own).includes(` ${plain(name)} `))
        .map((name): Found => ({ at: text.at, facts: { name } })),
    );
  },
};

const plainWords = rememberBy(({ words }: SpokenText) => ` ${plain(words)} `);

function withoutNames(words: string, names: readonly string[]): string {
  return names.reduce((left, name) => (name === '' ? left : left.replaceAll(` ${name} `, ' ')), words);
}

function plain(text: string): string {
  return text
    .toLowerCase()
    .replace(/[’']s\b/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}
