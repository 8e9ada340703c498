import { languageOf, languages, voiceNames, voices, type Edit, type Language } from '../../line';
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
      const sheet = text.part?.sheetId;
      if (!said || said === voice || (sheet && bySheet.has(sheet))) return [];
      if (sheet) bySheet.add(sheet);
      const facts = { said: languages[said], voice: languages[voice] };
      return [{ at: text.at, facts, ...fixFor(text, said) }];
    });
  },
};

const languageOfText = rememberBy(({ words }: SpokenText) => languageSaid(words));

function fixFor({ part }: SpokenText, said: Language): { readonly fix?: Edit } {
  const voice = voiceNames.find((name) => voices[name].language === said);
  return part && voice ? { fix: { type: 'setSheetVoice', sheetId: part.sheetId, voice } } : {};
}
