import { isKey, languageOf, type Key, type Language, type VoiceId } from '../../line';
import { numberOf } from './numbers';

/** A key that words tell callers to press. */
export interface KeySaid {
  readonly key: Key;
  /** What the words say it is for; empty where they do not say. */
  readonly label: string;
  /** The words themselves. */
  readonly words: string;
}

const keyWord =
  '(star|asterisk|pound|hash|zero|one|two|three|four|five|six|seven|eight|nine|[0-9*#])(?![\\w])(?!(?:[\\s-]+(?:zero|one|two|nine|[0-9])){2})';
const press = {
  en: `(?:press|dial|push|hit|touch|choose)\\s+(?:the\\s+)?(?:key\\s+|number\\s+|button\\s+)?${keyWord}`,
  fr: `(?:tapez|faites|composez|pressez|appuyez\\s+sur)\\s+(?:le\\s+|la\\s+)?(?:touche\\s+)?([0-9*#])(?![\\w])(?![\\s-]+[0-9])`,
  es: `(?:pulse|marque|oprima|presione)\\s+(?:el\\s+|la\\s+)?(?:tecla\\s+)?([0-9*#])(?![\\w])(?![\\s-]+[0-9])`,
  de: `(?:drücken\\s+sie|wählen\\s+sie)\\s+(?:bitte\\s+)?(?:die\\s+)?(?:taste\\s+)?([0-9*#])(?![\\w])(?![\\s-]+[0-9])`,
} as const;
const before = { en: 'for|to', fr: 'pour', es: 'para', de: 'für' } as const;

const patterns = Object.fromEntries(
  (Object.keys(press) as Language[]).map((language) => [
    language,
    new RegExp(
      `(?:\\b(?:${before[language]})\\s+([^.!?;\\n]{2,80}?),?\\s+(?:please\\s+)?)?\\b${press[language]}(?:\\s+(?:${before[language]})\\s+([^.!?;,\\n]{2,80}))?`,
      'giu',
    ),
  ]),
) as Readonly<Record<Language, RegExp>>;

/**
 * The keys that words tell callers to press, in the order they are told. Words in another language than their voice tell keys
 * too, as in "Pour le français, tapez 9".
 */
export function keysSaid(words: string, voice: VoiceId): readonly KeySaid[] {
  const own = languageOf(voice);
  const others = (Object.keys(press) as Language[]).filter((language) => language !== own);
  const found = [own, ...others].flatMap((language) => [...words.matchAll(patterns[language])]);
  return found
    .sort((one, other) => one.index - other.index)
    .flatMap((said): KeySaid[] => {
      const key = keyOf(said[2] ?? '');
      return key ? [{ key, label: (said[1] ?? said[3] ?? '').trim(), words: said[0] }] : [];
    });
}

function keyOf(word: string): Key | undefined {
  const plain = word.toLowerCase();
  if (isKey(plain)) return plain;
  if (plain === 'star' || plain === 'asterisk') return '*';
  if (plain === 'pound' || plain === 'hash') return '#';
  const digit = String(numberOf(plain) ?? '');
  return isKey(digit) ? digit : undefined;
}

/** Whether words name a key at all, as in "pour le français, le 9". */
export function namesKey(words: string, key: Key): boolean {
  if (new RegExp(`(^|[^0-9])\\${key}([^0-9]|$)`).test(words)) return true;
  const said = words
    .toLowerCase()
    .match(/\b(star|asterisk|pound|hash|zero|one|two|three|four|five|six|seven|eight|nine)\b/g);
  return (said ?? []).some((word) => keyOf(word) === key);
}
