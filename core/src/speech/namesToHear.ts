import type { Person } from '../directory';
import type { Language } from '../line';
import type { SayAs } from './dictionary';

/**
 * What in the spelling of a name a voice of a language is likely to say wrongly: letters and rows of letters that the
 * language itself hardly has. A name without any may be said wrongly too, and one with some rightly: it is worth hearing.
 */
const odd: Readonly<Record<Language, RegExp>> = {
  en: /[^a-z'’. -]|[^aeiouy'’. -]{5,}|[scdr]z|^(?:ng|nd|mb|ts|tz|zh|x|ij|hj)|q(?!u)|ij|aa|uu|ii|j(?![aeiou])|[b-df-hk-mp-tv-z]j|bh|mh|aoi|eoi|[aeo]ui|eau|eux|oeu|wicz|ew?ski|ska$|czak|sson$|tl$|hl|vl|zd/,
  fr: /[^a-zàâæçéèêëîïôœùûüÿ'’. -]|w|k|sch|tsch|[^aeiouyàâéèêëîïôùûü'’. -]{4,}|[scdr]z|th(?=[^éeè])|ough|ij/,
  es: /[^a-záéíñóúü'’. -]|w|k|sch|th|sh|ph|[^aeiouyáéíóúü'’. -]{4,}|[bdfgjkmptv]$|ç|ou|ough/,
  de: /[^a-zäöüß'’. -]|[^aeiouyäöü'’. -]{6,}|[scdr]z|ough|ea(?=[rlnt])|ou|ç|j(?![aeiouäöü])|ñ|^x|q(?!u)/,
};

/** The names of people that a voice of a language is likely to get wrong, and that nobody has said yet how to say. */
export function namesToHear(
  people: readonly Pick<Person, 'name' | 'saidAs'>[],
  language: Language,
  words: readonly SayAs[],
): readonly string[] {
  const known = new Set(
    words.flatMap((word) => (word.language === null || word.language === language ? [word.written.toLowerCase()] : [])),
  );
  const parts = people
    .filter(({ saidAs }) => saidAs.trim() === '')
    .flatMap(({ name }) => name.split(/[\s-]+/))
    .filter((part) => part.length > 1 && !known.has(part.toLowerCase()) && odd[language].test(part.toLowerCase()));
  return [...new Set(parts)].sort((one, other) => one.localeCompare(other));
}
