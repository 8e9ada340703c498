import type { Edit } from '../../line';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { saidLive, spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that state an extension which nobody has, or which is another one's than they say. */
export const extensionInWords: Rule<'extensionInWords'> = {
  name: 'extensionInWords',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text) =>
      extensionsIn(text).flatMap(({ extension, sentence }): Found[] => {
        const all = [...subject.people, ...subject.groups, ...subject.queues];
        const owner = all.find((each) => each.extension === extension);
        const named = subject.people.find(({ name }) => sentence.includes(name));
        if (owner && (!named || named.id === owner.id)) return [];
        return [
          { at: text.at, facts: { extension, name: named?.name ?? '' }, ...fixFor(subject, text, extension, named) },
        ];
      }),
    ),
};

const extensionsIn = rememberBy(({ words }: SpokenText) =>
  [...words.matchAll(/\b(?:extension|ext\.?)\s+((?:\d[\s-]?){1,5}\d)\b/giu)].map((found) => ({
    extension: (found[1] ?? '').replace(/\D/g, ''),
    sentence: words.split(/[.!?]/u).find((sentence) => sentence.includes(found[0])) ?? words,
  })),
);

/** The extension as it is, said live. */
function fixFor(
  subject: ProofSubject,
  text: SpokenText,
  extension: string,
  person: ProofSubject['people'][number] | undefined,
): { readonly fix?: Edit } {
  return person ? saidLive(subject, text, extension, `{extension ${person.id}}`, 'say the extension live') : {};
}
