import { languageOf, languages, voiceIds, voices, type VoiceId } from '@locutor/core/line';
import type { Choice } from './InlineSelect';

/** A voice as the manager knows it, with its language where that is not English. */
export function voiceName(voice: VoiceId): string {
  return voices[voice].name;
}

export const voiceChoices: readonly Choice[] = voiceIds.map((voice) => {
  const language = languageOf(voice);
  return { value: voice, label: language === 'en' ? voiceName(voice) : `${voiceName(voice)} (${languages[language]})` };
});
