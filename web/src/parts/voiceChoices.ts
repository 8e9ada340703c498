import {
  languageOf,
  languages,
  tuningOf,
  usualTuning,
  voiceLabel,
  voiceNameOf,
  type VoiceId,
  type VoiceName,
} from '@locutor/core/line';
import type { Choice } from './InlineSelect';

/** A voice as the manager knows it, with its pace and pitch where they are not the usual ones. */
export function voiceName(voice: VoiceId): string {
  const { pace, pitch } = tuningOf(voice);
  const tuned = [
    ...(pace === usualTuning.pace ? [] : [`${pace} %`]),
    ...(pitch === usualTuning.pitch ? [] : [`${pitch > 0 ? '+' : '−'}${Math.abs(pitch)}`]),
  ];
  return [voiceLabel(voiceNameOf(voice)), ...tuned].join(', ');
}

/** A voice as it is, with its language where that is not English. */
export function voiceChoice(voice: VoiceName): Choice {
  const language = languageOf(voice);
  return { value: voice, label: language === 'en' ? voiceName(voice) : `${voiceName(voice)} (${languages[language]})` };
}
