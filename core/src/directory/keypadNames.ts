import type { PersonId } from './ids';
import type { Person } from './person';

/** By which part of their name somebody is searched for. */
export const nameParts = ['lastName', 'firstName', 'eitherName'] as const;
export type NamePart = (typeof nameParts)[number];

/** How many letters of a name callers spell. */
export const lettersSpelled = 3;

/** The letters on the keys of a telephone (ITU-T E.161, section 3). */
const lettersOfKeys = ['abc', 'def', 'ghi', 'jkl', 'mno', 'pqrs', 'tuv', 'wxyz'];

const keyOfLetter: ReadonlyMap<string, string> = new Map(
  lettersOfKeys.flatMap((letters, index) => [...letters].map((letter) => [letter, String(index + 2)] as const)),
);

/** Letters that Unicode does not take apart into a plain letter and an accent. */
const folded: Readonly<Record<string, string>> = {
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ø: 'o',
  đ: 'd',
  ð: 'd',
  þ: 'th',
  ł: 'l',
  ı: 'i',
  ŋ: 'ng',
  ħ: 'h',
};

/** Letters that are also written as two, as people spell their names where the letter is not on the keys. */
const asTwo: Readonly<Record<string, string>> = { ä: 'ae', ö: 'oe', ü: 'ue', å: 'aa', ø: 'oe' };

/** The ways in which a name may be spelled without letters that are not on the keys: "Jäger" as "Jager" and "Jaeger". */
function writings(text: string): readonly string[] {
  const lower = text.toLowerCase().normalize('NFC');
  const two = [...lower].map((letter) => asTwo[letter] ?? letter).join('');
  return two === lower ? [lower] : [lower, two];
}

/** A name as keys: accents folded, hyphens, apostrophes and everything else that is no letter left out. */
export function keysOfName(text: string): string {
  const plain = [...text.toLowerCase().normalize('NFKD')].map((letter) => folded[letter] ?? letter).join('');
  return [...plain].map((letter) => keyOfLetter.get(letter) ?? '').join('');
}

/**
 * The beginnings, of up to three keys, by which somebody is found. The first word is the first name, the rest the last
 * name; of "Ana van der Berg" both "van der Berg" and "Berg" are taken, of a double name each half. "Jäger" is found as
 * "Jag" and "Jae". A name of one word is both first and last.
 */
export function spellingsOf(person: Pick<Person, 'name' | 'saidAs'>, part: NamePart): readonly string[] {
  const own = spellings(person.name, part);
  return own.length > 0 ? own : spellings(person.saidAs, part);
}

function spellings(name: string, part: NamePart): readonly string[] {
  const words = name.trim().split(/\s+/);
  const first = words.slice(0, 1);
  const last = words.length > 1 ? [words.slice(1).join(' '), words.at(-1) ?? ''] : first;
  const parts = part === 'firstName' ? first : part === 'lastName' ? last : [...first, ...last];
  const keys = parts
    .flatMap((each) => [each, ...halves(each)])
    .flatMap(writings)
    .map((each) => keysOfName(each).slice(0, lettersSpelled));
  return [...new Set(keys.filter((each) => each !== ''))];
}

/** The later parts of a double name, by which people are known as well: "Lüdenscheidt" of "Müller-Lüdenscheidt". */
function halves(name: string): readonly string[] {
  return name.split(/[-\u2010-\u2015]/).slice(1);
}

/** Everybody whom these keys can mean, in the order of the directory. Shorter names are found by all their letters. */
export function findByKeypad<Each extends Pick<Person, 'name' | 'saidAs' | 'inDirectory'>>(
  people: readonly Each[],
  pressed: string,
  part: NamePart,
): readonly Each[] {
  const spelled = pressed.slice(0, lettersSpelled);
  if (spelled === '') return [];
  return people.filter(
    (person) => person.inDirectory && spellingsOf(person, part).some((keys) => keys.startsWith(spelled)),
  );
}

/** What the manager sees of the directory by keypad. */
export interface KeypadReport {
  /** People whom three letters cannot tell apart; callers choose between them by key. */
  readonly collisions: readonly { readonly keys: string; readonly people: readonly PersonId[] }[];
  /** People who are in the directory but have no letters to be found by. */
  readonly unfindable: readonly PersonId[];
  /** People who were left out. */
  readonly leftOut: readonly PersonId[];
}

/** Which names collide on the keypad, and who cannot be found. */
export function readKeypad(people: readonly Person[], part: NamePart): KeypadReport {
  const listed = people.filter((person) => person.inDirectory);
  const byKeys = new Map<string, PersonId[]>();
  for (const person of listed) {
    for (const keys of spellingsOf(person, part)) byKeys.set(keys, [...(byKeys.get(keys) ?? []), person.id]);
  }
  return {
    collisions: [...byKeys].filter(([, ids]) => ids.length > 1).map(([keys, ids]) => ({ keys, people: ids })),
    unfindable: listed.filter((person) => spellingsOf(person, part).length === 0).map(({ id }) => id),
    leftOut: people.filter((person) => !person.inDirectory).map(({ id }) => id),
  };
}
