import { languageOf, languages, menuWords, shippedVoiceOf, type Edit, type Language, type SheetId } from '../../line';
import { languageSaid } from '../reading/languageSaid';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words in another language than the voice that says them. */
export const wrongLanguage: Rule<'wrongLanguage'> = {
  name: 'wrongLanguage',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => {
    const bySheet = new Set<string>();
    return spokenTexts(subject).flatMap((text): Found[] => {
      const said = languageOfText(text);
      const voice = languageOf(text.voice);
      const sheet = sheetIn(text);
      if (!said || said === voice || (sheet && bySheet.has(sheet))) return [];
      if (sheet) bySheet.add(sheet);
      const facts = { said: languages[said], voice: languages[voice] };
      return [{ at: text.at, facts, ...fixFor(text, said) }];
    });
  },
};

const languageOfText = rememberBy(({ words, place }: SpokenText): Language | undefined => {
  // Short words in a menu may be meant for those who speak another language; a queue's are for all.
  const isForAll = forAll.includes(place.type);
  return languageOfPrompt(words) ?? languageSaid(words, isForAll ? fewestForAll : undefined);
});

const forAll: readonly string[] = ['queueEntry', 'queueWaiting', 'closed', 'box'];
const fewestForAll = 5;

/** What a new menu says by itself in one of the languages is said in that. */
function languageOfPrompt(words: string): Language | undefined {
  const known = Object.keys(languages) as Language[];
  return known.find((language) => Object.values(menuWords[language]).includes(words));
}

function sheetIn({ place }: SpokenText): SheetId | undefined {
  return place.type === 'words' ? place.sheetId : undefined;
}

function fixFor(text: SpokenText, said: Language): { readonly fix?: Edit } {
  const sheetId = sheetIn(text);
  return sheetId ? { fix: { type: 'setSheetVoice', sheetId, voice: shippedVoiceOf(said) } } : {};
}
