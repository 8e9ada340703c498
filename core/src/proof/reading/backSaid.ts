import type { Weekday } from '../../hours';
import type { Language } from '../../line';

/** When the business is open again, as words say it. */
export interface BackSaid {
  /** A weekday, or the day after the one on which it is heard. */
  readonly on: Weekday | 'tomorrow';
  /** As it is written. */
  readonly day: string;
  readonly words: string;
}

interface Told {
  /** What is said before the day, and what may be said after it. */
  readonly back: string;
  readonly after?: string;
  readonly days: readonly string[];
  readonly tomorrow: string;
}

const told: Readonly<Record<Language, Told>> = {
  en: {
    back: '(?:back|reopen(?:ing|s)?|open\\s+again|re-open(?:ing)?|return(?:ing)?|resume)',
    days: ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'],
    tomorrow: 'tomorrow',
  },
  fr: {
    back: '(?:de\\s+retour|rouvr\\p{L}*|r[ée]ouvr\\p{L}*|reprendr\\p{L}*)',
    days: ['lundi', 'mardi', 'mercredi', 'jeudi', 'vendredi', 'samedi', 'dimanche'],
    tomorrow: 'demain',
  },
  es: {
    back: '(?:volve(?:mos|remos)|regresa(?:mos|remos)|reabri(?:mos|remos)|abrimos\\s+de\\s+nuevo|de\\s+vuelta)',
    days: ['lunes', 'martes', 'mi[ée]rcoles', 'jueves', 'viernes', 's[áa]bado', 'domingo'],
    tomorrow: 'ma[ñn]ana(?!\\s+por)',
  },
  de: {
    back: '(?:wieder|zur[üu]ck)',
    after: '(?:wieder|zur[üu]ck)',
    days: ['montag', 'dienstag', 'mittwoch', 'donnerstag', 'freitag', '(?:samstag|sonnabend)', 'sonntag'],
    tomorrow: 'morgen(?!s)',
  },
};

/** Says that the business opens again on a day; whichever language the words are in. */
export function backSaid(words: string): BackSaid | undefined {
  for (const sentence of words.split(/[.!?\n]+/u)) {
    for (const { back, after, days, tomorrow } of Object.values(told)) {
      const day = `(${[...days, tomorrow].join('|')})`;
      const before = new RegExp(`(?<!\\p{L})${back}(?!\\p{L})[^.!?]{0,40}?(?<!\\p{L})${day}(?!\\p{L})`, 'iu').exec(
        sentence,
      );
      const behind = after
        ? new RegExp(`(?<!\\p{L})${day}(?!\\p{L})[^.!?]{0,40}?(?<!\\p{L})${after}(?!\\p{L})`, 'iu').exec(sentence)
        : null;
      const found = before ?? behind;
      const name = found?.[1];
      if (!found || name === undefined) continue;
      const at = days.findIndex((each) => new RegExp(`^${each}$`, 'iu').test(name));
      return { on: at < 0 ? 'tomorrow' : ((at + 1) as Weekday), day: name, words: found[0].trim() };
    }
  }
  return undefined;
}
