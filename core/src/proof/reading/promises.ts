import { languageOf, type Language, type VoiceId } from '../../line';

/** What words promise to whoever hears them. */
export interface PromiseSaid {
  /** The words themselves. */
  readonly words: string;
  /** Whom or what they are said to reach; empty where that is not said. */
  readonly whom: string;
}

const whom = {
  en: '(?:\\s+(?:for|to\\s+(?:speak|talk)\\s+(?:to|with)|to\\s+reach|to\\s+be\\s+connected\\s+(?:to|with))\\s+([^.,;!?\\n]{2,60}))?',
  fr: '(?:\\s+pour\\s+(?:parler\\s+(?:à|au|avec)\\s+|joindre\\s+)?([^.,;!?\\n]{2,60}))?',
  es: '(?:\\s+para\\s+(?:hablar\\s+con\\s+)?([^.,;!?\\n]{2,60}))?',
  de: '(?:,?\\s+(?:um\\s+mit\\s+|für\\s+)([^.,;!?\\n]{2,60}))?',
} as const satisfies Readonly<Record<Language, string>>;

const stay = {
  en: "(?:(?:stay|remain|hold|wait)\\s+on\\s+the\\s+line|hold\\s+the\\s+line|please\\s+hold|(?:do\\s+not|don['’]t)\\s+hang\\s+up)",
  fr: '(?:(?:restez|demeurez|patientez|attendez)\\s+en\\s+ligne|ne\\s+(?:quittez|raccrochez)\\s+pas|veuillez\\s+patienter)',
  es: '(?:(?:permanezca|mant[ée]ngase|espere|qu[ée]dese|siga)\\s+en\\s+(?:la\\s+)?l[íi]nea|no\\s+cuelgue)',
  de: '(?:bleiben\\s+Sie\\s+(?:bitte\\s+)?(?:in\\s+der\\s+Leitung|am\\s+Apparat|dran)|legen\\s+Sie\\s+(?:bitte\\s+)?nicht\\s+auf)',
} as const satisfies Readonly<Record<Language, string>>;

/** What is promised to those who stay may be something else than a person. */
const somethingElse = {
  en: '(?!,?\\s+(?:to|and|if\\s+you\\s+(?:want|wish|would\\s+like)\\s+to)\\s+(?:leave|record|hear|listen|repeat|go\\s+back|return)\\b)',
  fr: '(?!,?\\s+(?:pour|et)\\s+(?:laisse|[ée]coute|r[ée]entend|r[ée][ée]coute))',
  es: '(?!,?\\s+(?:para|y)\\s+(?:dej|escuch|o[íi]r|repetir))',
  de: '(?!,?\\s+(?:um|und)\\s+(?:eine\\s+Nachricht|es\\s+noch\\s+einmal|die\\s+Ansage))',
} as const satisfies Readonly<Record<Language, string>>;

const message = {
  en: '\\b(?:leave|record)\\s+(?:us\\s+|me\\s+|him\\s+|her\\s+|them\\s+)?(?:a|your)\\s+(?:(?:short|brief|detailed|voice)\\s+)?(?:message|voicemail|name\\s+and\\s+(?:phone\\s+|telephone\\s+)?number)|\\b(?:speak\\s+)?after\\s+the\\s+(?:tone|beep)\\b',
  fr: '\\blaiss(?:ez|er)\\s+(?:-?nous\\s+)?(?:un|votre)\\s+message|\\bapr[èe]s\\s+le\\s+(?:bip|signal)',
  es: '\\bdej(?:e|ar)(?:nos)?\\s+(?:un|su)\\s+mensaje|\\bdespu[ée]s\\s+(?:del\\s+tono|de\\s+la\\s+señal)',
  de: '\\bhinterlassen\\s+Sie\\s+(?:uns\\s+)?(?:bitte\\s+)?(?:eine|Ihre)\\s+Nachricht|\\bNachricht\\s+(?:zu\\s+)?hinterlassen|\\bnach\\s+dem\\s+(?:Ton|Signalton|Piepton)',
} as const satisfies Readonly<Record<Language, string>>;

const callBack = {
  en: "\\b(?:will|['’]ll)\\s+(?:(?:call|ring|phone)\\s+you|get\\s+back\\s+to\\s+you|return\\s+your\\s+call)",
  fr: '\\bvous\\s+rappel(?:lerons|lera|ons)',
  es: '\\b(?:le|les|te|lo)\\s+(?:devolveremos\\s+la\\s+llamada|llamaremos)',
  de: '\\brufen\\s+Sie\\s+[^.!?\\n]{0,40}zur[üu]ck\\b|\\bmelden\\s+uns\\s+(?:bei\\s+Ihnen|zur[üu]ck)',
} as const satisfies Readonly<Record<Language, string>>;

/** Each in the languages there are. */
function patternsOf(words: Readonly<Record<Language, string>>, ...more: readonly Readonly<Record<Language, string>>[]) {
  return Object.fromEntries(
    (Object.keys(words) as Language[]).map((language) => [
      language,
      new RegExp([words, ...more].map((part) => part[language]).join(''), 'giu'),
    ]),
  ) as Readonly<Record<Language, RegExp>>;
}

const patterns = {
  stay: patternsOf(stay, somethingElse, whom),
  message: patternsOf(message),
  callBack: patternsOf(callBack),
} as const;
export type PromiseKind = keyof typeof patterns;

/**
 * What words promise: that whoever stays on the line reaches somebody, that a message can be left, that somebody calls back.
 * They are read in the language of their voice, and where that finds nothing in the others: words may be in another one.
 */
export function promisesIn(words: string, voice: VoiceId, kind: PromiseKind): readonly PromiseSaid[] {
  const own = languageOf(voice);
  const all = patterns[kind];
  const read = (language: Language): PromiseSaid[] =>
    [...words.matchAll(all[language])].map((found) => ({ words: found[0].trim(), whom: (found[1] ?? '').trim() }));
  const found = read(own);
  if (found.length > 0) return found;
  return (Object.keys(all) as Language[]).flatMap((language) => (language === own ? [] : read(language)));
}

/** The sentence in which something is said. */
export function sentenceOf(words: string, said: string): string {
  return words.split(/[.!?\n]+/u).find((sentence) => sentence.includes(said)) ?? words;
}
