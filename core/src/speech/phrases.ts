import { languageOf, type Language, type VoiceId } from '../line';
import { phrases as de } from './words/de';
import { phrases as en } from './words/en';
import { phrases as es } from './words/es';
import { phrases as fr } from './words/fr';
import type { Phrases } from './words/phrases';

const byLanguage: Readonly<Record<Language, Phrases>> = { en, fr, es, de };

/** What the line says by itself in the language of a voice. */
export function phrasesOf(voice: VoiceId): Phrases {
  return byLanguage[languageOf(voice)];
}
