/** The languages that menus can be in, by their ISO 639-1 codes, as they are called in themselves. */
export const languages = { en: 'English', fr: 'Français', es: 'Español', de: 'Deutsch' } as const;

export type Language = keyof typeof languages;

interface VoiceFacts {
  readonly name: string;
  readonly language: Language;
}

/** The voices that the shipped speech synthesis has, and how they are described to the manager. */
const shipped = {
  slt: { name: 'Woman, American', language: 'en' },
  rms: { name: 'Man, American', language: 'en' },
  awb: { name: 'Man, Scottish', language: 'en' },
  kal16: { name: 'Man, American, brisk', language: 'en' },
  gbWoman: { name: 'Woman, British', language: 'en' },
  gbMan: { name: 'Man, British', language: 'en' },
  frWoman: { name: 'Woman, French', language: 'fr' },
  frMan: { name: 'Man, French', language: 'fr' },
  beWoman: { name: 'Woman, Belgian', language: 'fr' },
  beMan: { name: 'Man, Belgian', language: 'fr' },
  esWoman: { name: 'Woman, Spanish', language: 'es' },
  esMan: { name: 'Man, Spanish', language: 'es' },
  laWoman: { name: 'Woman, Latin American', language: 'es' },
  laMan: { name: 'Man, Latin American', language: 'es' },
  deWoman: { name: 'Woman, German', language: 'de' },
  deMan: { name: 'Man, German', language: 'de' },
} as const satisfies Readonly<Record<string, VoiceFacts>>;

export type ShippedVoice = keyof typeof shipped;

/**
 * A voice of the business's own, from its voice folder: `own-en-anna-marie` speaks English and is called Anna Marie. All that
 * is known of it is in its name, so that words can be read without the folder.
 */
export type OwnVoice = `own-${Language}-${string}`;

export type VoiceName = ShippedVoice | OwnVoice;

/** A voice as it is (`slt`), or at a pace and pitch of its own: `slt@90+2` is at 90 %, two half tones up. */
export type VoiceId = VoiceName | `${VoiceName}@${number}${'+' | '-'}${number}`;

/** How fast and how high a voice speaks. */
export interface Tuning {
  /** In percent of its usual pace, 70 to 140. */
  readonly pace: number;
  /** Half tones above or below its usual pitch, -4 to 4. */
  readonly pitch: number;
}

export const tuningLimits = { pace: { least: 70, most: 140 }, pitch: { least: -4, most: 4 } } as const;
export const usualTuning: Tuning = { pace: 100, pitch: 0 };

export const defaultVoice: VoiceId = 'slt';

export const shippedVoices = Object.keys(shipped) as ShippedVoice[];

const ownPattern = `own-(?:${Object.keys(languages).join('|')})-[a-z0-9](?:[a-z0-9-]{0,38}[a-z0-9])?`;
const own = new RegExp(`^${ownPattern}$`);
const tuned = /^([A-Za-z0-9-]+)(?:@(\d{2,3})([+-]\d))?$/;
/** What the text of any voice looks like: for schemas. */
export const voicePattern = new RegExp(`^(?:${shippedVoices.join('|')}|${ownPattern})(?:@\\d{2,3}[+-]\\d)?$`);

/** The voice of a folder of this name, such as `en-anna-marie`; nothing where it is no name of a voice. */
export function ownVoice(folder: string): OwnVoice | undefined {
  const name = `own-${folder}`;
  return isOwn(name) ? name : undefined;
}

/** The voice of the business's own that speaks, at any pace and pitch; nothing for one that is shipped. */
export function ownVoiceIn(voice: VoiceId): OwnVoice | undefined {
  const name = voiceNameOf(voice);
  return isOwn(name) ? name : undefined;
}

function isOwn(name: string): name is OwnVoice {
  return own.test(name);
}

/** How a voice is described to the manager. */
export function voiceLabel(name: VoiceName): string {
  if (!isOwn(name)) return shipped[name].name;
  const [, , ...words] = name.split('-');
  const called = words.map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join(' ');
  return `${called}, your own`;
}

/** The first shipped voice of a language: speaks where another cannot. */
export function shippedVoiceOf(language: Language): ShippedVoice {
  const found = shippedVoices.find((name) => shipped[name].language === language);
  if (!found) throw new Error(`No voice is shipped for ${language}`);
  return found;
}

/** The voice at a pace and pitch; both are held within their limits. */
export function tunedVoice(name: VoiceName, { pace, pitch }: Tuning): VoiceId {
  const held = (value: number, { least, most }: { least: number; most: number }): number =>
    Math.max(least, Math.min(most, Math.round(value)));
  const [heldPace, heldPitch] = [held(pace, tuningLimits.pace), held(pitch, tuningLimits.pitch)];
  if (heldPace === usualTuning.pace && heldPitch === usualTuning.pitch) return name;
  return `${name}@${heldPace}${heldPitch < 0 ? '-' : '+'}${Math.abs(heldPitch)}`;
}

/** The voice itself, without its pace and pitch. */
export function voiceNameOf(voice: VoiceId): VoiceName {
  return (voice.split('@')[0] ?? defaultVoice) as VoiceName;
}

export function tuningOf(voice: VoiceId): Tuning {
  const [, , pace, pitch] = tuned.exec(voice) ?? [];
  return pace === undefined ? usualTuning : { pace: Number(pace), pitch: Number(pitch) };
}

/** Whether a text is a voice, at a pace and pitch within their limits. */
export function isVoiceId(text: unknown): text is VoiceId {
  if (typeof text !== 'string' || !voicePattern.test(text)) return false;
  return tunedVoice(voiceNameOf(text as VoiceId), tuningOf(text as VoiceId)) === text;
}

export function languageOf(voice: VoiceId): Language {
  const name = voiceNameOf(voice);
  return isOwn(name) ? (name.split('-')[1] as Language) : shipped[name].language;
}
