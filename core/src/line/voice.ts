/** The languages that menus can be in, by their ISO 639-1 codes, as they are called in themselves. */
export const languages = { en: 'English', fr: 'Français', es: 'Español', de: 'Deutsch' } as const;

export type Language = keyof typeof languages;

interface VoiceFacts {
  readonly name: string;
  readonly language: Language;
}

/** The voices that the shipped speech synthesis has, and how they are described to the manager. */
export const voices = {
  slt: { name: 'Woman, American', language: 'en' },
  rms: { name: 'Man, American', language: 'en' },
  awb: { name: 'Man, Scottish', language: 'en' },
  kal16: { name: 'Man, American, brisk', language: 'en' },
  frWoman: { name: 'Woman, French', language: 'fr' },
  frMan: { name: 'Man, French', language: 'fr' },
  esWoman: { name: 'Woman, Spanish', language: 'es' },
  esMan: { name: 'Man, Spanish', language: 'es' },
  deWoman: { name: 'Woman, German', language: 'de' },
  deMan: { name: 'Man, German', language: 'de' },
} as const satisfies Readonly<Record<string, VoiceFacts>>;

export type VoiceId = keyof typeof voices;

export const defaultVoice: VoiceId = 'slt';

export const voiceIds = Object.keys(voices) as VoiceId[];

export function languageOf(voice: VoiceId): Language {
  return voices[voice].language;
}
