import type { Language } from '../line';

/** How a word is to be said: it is written so that the voice says it right. */
export interface SayAs {
  /** As it is written, 1 to 60 characters; capitals make no difference. */
  readonly written: string;
  /** As the voice should read it, 1 to 120 characters. */
  readonly said: string;
  /** The language it holds for; null for all. */
  readonly language: Language | null;
}

export const longestWritten = 60;
export const longestSaid = 120;
export const mostSayAs = 1000;

/** A text as the voice should read it, by the dictionary; whole words only, and the longest first. */
export function respell(text: string, dictionary: readonly SayAs[], language: Language): string {
  const entries = dictionary.filter((entry) => entry.language === null || entry.language === language);
  if (entries.length === 0) return text;
  const saidBy = new Map(entries.map(({ written, said }) => [written.toLowerCase(), said]));
  const anyOf = [...saidBy.keys()].sort((one, other) => other.length - one.length).map(escaped);
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}])(?:${anyOf.join('|')})(?![\\p{L}\\p{N}])`, 'giu');
  return text.replace(pattern, (found) => saidBy.get(found.toLowerCase()) ?? found);
}

function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
