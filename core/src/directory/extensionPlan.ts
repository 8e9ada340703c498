import type { PersonId } from './ids';
import type { Person } from './person';

type Numbered = Pick<Person, 'id' | 'name' | 'extension'>;

/** The first other of people, groups and queues who already has this extension. */
export function extensionTakenBy<Each extends { readonly id: string; readonly extension: string }>(
  all: readonly Each[],
  extension: string,
  except?: string,
): Each | undefined {
  return all.find((each) => each.extension === extension && each.id !== except);
}

/** The lowest three-digit extension from 201 up that nobody has. */
export function nextFreeExtension(people: readonly Pick<Person, 'extension'>[]): string {
  const taken = new Set(people.map((person) => person.extension));
  let next = 201;
  while (taken.has(String(next))) next += 1;
  return String(next);
}

/** What there is to know about the extensions of a business. */
export interface ExtensionPlan {
  /** Extensions from the lowest to the highest, grouped into runs without a gap: `201` to `214`. */
  readonly runs: readonly { readonly from: string; readonly to: string }[];
  /** Numbers between two runs of the same length that nobody has. */
  readonly gaps: readonly { readonly from: string; readonly to: string }[];
  /** Extensions that several people have. */
  readonly doubles: readonly { readonly extension: string; readonly people: readonly Numbered[] }[];
  /** Extensions that begin with another whole one, so that a caller who dials it has to wait. */
  readonly beginnings: readonly { readonly extension: string; readonly longer: readonly string[] }[];
  readonly nextFree: string;
}

/** Reads the extensions of everybody: runs, gaps, doubles, and those that begin with another. */
export function extensionPlan(people: readonly Numbered[]): ExtensionPlan {
  const all = [...new Set(people.map((person) => person.extension))].sort(byLengthThenValue);
  const runs: { from: string; to: string }[] = [];
  const gaps: { from: string; to: string }[] = [];
  for (const extension of all) {
    const last = runs.at(-1);
    if (last && follows(last.to, extension)) last.to = extension;
    else {
      if (last?.to.length === extension.length) gaps.push({ from: plus(last.to, 1), to: plus(extension, -1) });
      runs.push({ from: extension, to: extension });
    }
  }
  return {
    runs,
    gaps,
    doubles: all.flatMap((extension) => {
      const same = people.filter((person) => person.extension === extension);
      return same.length > 1 ? [{ extension, people: same }] : [];
    }),
    beginnings: all.flatMap((extension) => {
      const longer = all.filter((other) => other.length > extension.length && other.startsWith(extension));
      return longer.length > 0 ? [{ extension, longer }] : [];
    }),
    nextFree: nextFreeExtension(people),
  };
}

/**
 * The extensions everybody would have with another first digit, such as 7 for 2: the way out when a key of a menu is
 * also the first digit of extensions. Those that do not begin with `from` stay as they are.
 */
export function renumbered(people: readonly Numbered[], from: string, to: string): ReadonlyMap<PersonId, string> {
  return new Map(
    people
      .filter(({ extension }) => extension.startsWith(from))
      .map(({ id, extension }) => [id, to + extension.slice(from.length)]),
  );
}

/** First digits, from 2 to 9, with which no extension begins. */
export function freeFirstDigits(people: readonly Pick<Person, 'extension'>[]): readonly string[] {
  return [...'23456789'].filter((digit) => !people.some(({ extension }) => extension.startsWith(digit)));
}

function byLengthThenValue(one: string, other: string): number {
  return one.length - other.length || Number(one) - Number(other);
}

function follows(one: string, other: string): boolean {
  return one.length === other.length && Number(other) === Number(one) + 1;
}

function plus(extension: string, count: number): string {
  return String(Number(extension) + count).padStart(extension.length, '0');
}
