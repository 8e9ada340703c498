import {
  languageOf,
  languages,
  tuningOf,
  usualTuning,
  voiceNameOf,
  voiceNames,
  voices,
  type VoiceId,
} from '@locutor/core/line';
import type { Choice } from './InlineSelect';

/** A voice as the manager knows it, with its pace and pitch where they are not the usual ones. */
export function voiceName(voice: VoiceId): string {
  const { pace, pitch } = tuningOf(voice);
  const tuned = [
    ...(pace === usualTuning.pace ? [] : [`${pace} %`]),
    ...(pitch === usualTuning.pitch ? [] : [`${pitch > 0 ? '+' : '−'}${Math.abs(pitch)}`]),
  ];
  return [voices[voiceNameOf(voice)].name, ...tuned].join(', ');
}

/** The voices as they are, each with its language where that is not English. */
export const voiceChoices: readonly Choice[] = voiceNames.map((voice) => {
  const language = languageOf(voice);
  return { value: voice, label: language === 'en' ? voiceName(voice) : `${voiceName(voice)} (${languages[language]})` };
});
