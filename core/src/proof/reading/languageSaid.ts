import type { Language } from '../../line';

/** Small words that no other of the languages has. */
const small: Readonly<Record<Language, ReadonlySet<string>>> = {
  en: new Set('the and you your for are is to of our we this that with at please thank press'.split(' ')),
  fr: new Set(
    'le les des vous nous pour votre notre est et dans du au aux une sur bienvenue veuillez merci'.split(' '),
  ),
  es: new Set('el los las usted nosotros para su es y en del una por gracias bienvenido pulse marque'.split(' ')),
  de: new Set('der die das sie wir für ihr ihre ist und in im den dem ein eine bitte danke drücken'.split(' ')),
};

/** A short phrase in another language is meant for those who speak it: "Pour le français, le 9." */
const fewestWords = 8;

/** A sentence for those who speak another language, as in "Para español, marque el dos". */
const forOthers =
  /\b(?:para|pour|f[üu]r|for)\s+(?:el\s+|le\s+|la\s+)?(?:espa[ñn]ol|fran[çc]ais|deutsch|ingl[ée]s|anglais|englisch|english|french|spanish|german)\b[^.!?]*[.!?]?/giu;

/** The language that words are in; undefined where they do not clearly show it. */
export function languageSaid(words: string, fewest = fewestWords): Language | undefined {
  const said =
    words
      .replace(forOthers, ' ')
      .toLowerCase()
      .match(/\p{L}+/gu) ?? [];
  if (said.length < fewest) return undefined;
  const counts = (Object.keys(small) as Language[])
    .map((language) => ({ language, count: said.filter((word) => small[language].has(word)).length }))
    .sort((one, other) => other.count - one.count);
  const [first, second] = counts;
  return first && second && first.count >= 3 && first.count >= 2 * second.count ? first.language : undefined;
}
