import {
  emailPattern,
  extensionPattern,
  extensionTakenBy,
  longestEmail,
  longestName,
  mostPhones,
  nextFreeExtension,
  personDefaults,
  phoneSeconds,
  readPhoneNumber,
  type Country,
  type E164,
  type Person,
  type PersonId,
  type PersonPhone,
} from '../directory';
import { folded } from '../line';
import { isFormula } from './csv';
import type { FoundPerson } from './peopleTable';

/** What can be read about a person from a row or a card. */
export type TakenField = 'name' | 'extension' | 'email' | 'mobile' | 'saidAs';
export type TakenFields = Readonly<Record<TakenField, string>>;

export type TakeInProblem =
  | { readonly type: 'unreadable' }
  | { readonly type: 'noName' }
  | { readonly type: 'tooLong'; readonly field: TakenField }
  | { readonly type: 'formula'; readonly field: TakenField; readonly text: string }
  | { readonly type: 'notAnExtension'; readonly text: string }
  | { readonly type: 'extensionTaken'; readonly extension: string; readonly by: string }
  | { readonly type: 'notAnEmail'; readonly text: string }
  | { readonly type: 'notANumber'; readonly text: string }
  | { readonly type: 'twice'; readonly firstRow: number };

/** What will happen with one row or card. */
export type Planned = { readonly row: number; readonly fields: TakenFields } & (
  | { readonly type: 'add'; /** Whether the extension was free and given, not read. */ readonly given: boolean }
  | {
      readonly type: 'change';
      readonly id: PersonId;
      readonly changed: readonly TakenField[];
      readonly before: TakenFields;
    }
  | { readonly type: 'same'; readonly id: PersonId }
  | { readonly type: 'wrong'; readonly problems: readonly TakeInProblem[] }
);

/**
 * What will happen when people are taken in: who is new, who is changed and in what, who stays the same, and what cannot
 * be taken and why. Somebody is known by their name, or by their e-mail address. What a row leaves empty stays.
 *
 * @param country of which numbers are that do not say their own
 */
export function planTakeIn(
  found: readonly FoundPerson[],
  people: readonly Person[],
  country?: Country,
): readonly Planned[] {
  const planned: Planned[] = [];
  let taken = 0;
  const known = knownBy(people);
  const firstRows = new Map<string, number>();
  // Everybody as they will be, so that extensions given and read do not clash among themselves.
  let after: readonly Person[] = people;
  for (const each of found) {
    const plan = planOne(withNumber(each, country), known, after, firstRows);
    // Whoever is there as they stand takes no room: the rest of a long table comes next time.
    if (plan.type !== 'same') taken += 1;
    if (taken > mostTakenIn) break;
    planned.push(plan);
    const name = folded(plan.fields.name);
    if (plan.type !== 'wrong' && !firstRows.has(name)) firstRows.set(name, plan.row);
    after = takenInto(after, plan);
  }
  return planned;
}

/** As many as are taken in at once; what is beyond is left for another time. */
export const mostTakenIn = 1000;

type Known = (fields: TakenFields) => Person | undefined;

/** Finds people by their names, else by their e-mail addresses. */
function knownBy(people: readonly Person[]): Known {
  const byName = new Map([...people].reverse().map((person) => [folded(person.name), person]));
  const byEmail = new Map([...people].reverse().map((person) => [folded(person.email), person]));
  return ({ name, email }) => byName.get(folded(name)) ?? (email === '' ? undefined : byEmail.get(folded(email)));
}

/** What mobiles that are taken in are for: texts alone, or to be rung too, always or only when on call. */
export const mobileUses = ['texts', 'rings', 'onCall'] as const;
export type MobileUse = (typeof mobileUses)[number];

export type TakenIn = Partial<TakenFields> & {
  readonly id?: PersonId;
  readonly phones?: readonly PersonPhone[];
};

/** What the server is asked to take in. A mobile that is to be rung comes after the phones somebody has. */
export function takeInBody(planned: readonly Planned[], people: readonly Person[], use: MobileUse): readonly TakenIn[] {
  return planned.flatMap((plan): readonly TakenIn[] => {
    const known = plan.type === 'add' ? undefined : 'id' in plan && people.find(({ id }) => id === plan.id);
    if (plan.type === 'wrong') return [];
    const phones = use === 'texts' ? null : phonesWith(plan.fields.mobile, known || personDefaults, use);
    if (plan.type === 'add') return [{ ...plan.fields, ...(phones && { phones }) }];
    const changed = plan.type === 'change' ? plan.changed : [];
    if (changed.length === 0 && !phones) return [];
    const changes = Object.fromEntries(changed.map((field) => [field, plan.fields[field]]));
    return [{ id: plan.id, ...changes, ...(phones && { phones }) }];
  });
}

/** The phones of somebody and their mobile; null where it is none, is among them or there is no room. */
function phonesWith(
  mobile: string,
  { phones }: Pick<Person, 'phones'>,
  use: Exclude<MobileUse, 'texts'>,
): readonly PersonPhone[] | null {
  const isAmong = phones.some((phone) => phone.type === 'outside' && phone.number === mobile);
  if (mobile === '' || isAmong || phones.length >= mostPhones) return null;
  const rings = { type: 'outside', number: mobile as E164, seconds: phoneSeconds.usual, accept: true } as const;
  return [...phones, use === 'onCall' ? { ...rings, onCallOnly: true } : rings];
}

function planOne(
  found: FoundPerson,
  knownOf: Known,
  after: readonly Person[],
  firstRows: ReadonlyMap<string, number>,
): Planned {
  const { row } = found;
  const read = fieldsOf(found);
  const known = knownOf(read);
  const given = read.extension === '' && !known;
  const fields: TakenFields = { ...read, extension: given ? nextFreeExtension(after) : read.extension };
  const problems = problemsOf(found, fields, known, after, firstRows);
  if (problems.length > 0) return { row, fields, type: 'wrong', problems };
  if (!known) return { row, fields, type: 'add', given };
  const names: readonly TakenField[] = ['name', 'extension', 'email', 'mobile', 'saidAs'];
  const changed = names.filter((field) => fields[field] !== '' && fields[field] !== known[field]);
  const whole = Object.fromEntries(names.map((field) => [field, fields[field] || known[field]])) as TakenFields;
  if (changed.length === 0) return { row, fields: whole, type: 'same', id: known.id };
  const { name, extension, email, mobile, saidAs } = known;
  return {
    row,
    fields: whole,
    type: 'change',
    id: known.id,
    changed,
    before: { name, extension, email, mobile, saidAs },
  };
}

/** With the mobile in its whole form, where it is a number as typed in the country. */
function withNumber(found: FoundPerson, country: Country | undefined): FoundPerson {
  const number = readPhoneNumber(found.mobile, country);
  return { ...found, mobile: number.ok ? number.value : found.mobile };
}

function fieldsOf({ name, extension, email, mobile, saidAs }: FoundPerson): TakenFields {
  return { name, extension, email, saidAs, mobile };
}

function problemsOf(
  found: FoundPerson,
  fields: TakenFields,
  known: Person | undefined,
  after: readonly Person[],
  firstRows: ReadonlyMap<string, number>,
): readonly TakeInProblem[] {
  if (found.unreadable) return [{ type: 'unreadable' }];
  const formulas = Object.entries(fields).filter(([, text]) => isFormula(text)) as [TakenField, string][];
  if (formulas.length > 0) return formulas.map(([field, text]) => ({ type: 'formula', field, text }));
  if (fields.name === '') return [{ type: 'noName' }];
  const firstRow = firstRows.get(folded(fields.name));
  if (firstRow !== undefined) return [{ type: 'twice', firstRow }];
  return [...lengthProblems(fields), ...contentProblems(fields, known, after)];
}

function lengthProblems(fields: TakenFields): readonly TakeInProblem[] {
  const most: Readonly<Record<TakenField, number>> = {
    name: longestName,
    saidAs: longestName,
    email: longestEmail,
    extension: 40,
    mobile: 40,
  };
  const long = (Object.keys(most) as TakenField[]).filter((field) => fields[field].length > most[field]);
  return long.map((field) => ({ type: 'tooLong', field }));
}

function contentProblems(
  { extension, email, mobile }: TakenFields,
  known: Person | undefined,
  after: readonly Person[],
): readonly TakeInProblem[] {
  const problems: TakeInProblem[] = [];
  if (extension !== '' && !extensionPattern.test(extension)) problems.push({ type: 'notAnExtension', text: extension });
  const other = extension === '' ? undefined : extensionTakenBy(after, extension, known?.id);
  if (other) problems.push({ type: 'extensionTaken', extension, by: other.name });
  if (email !== '' && !emailPattern.test(email)) problems.push({ type: 'notAnEmail', text: email });
  if (mobile !== '' && !readPhoneNumber(mobile).ok) problems.push({ type: 'notANumber', text: mobile });
  return problems;
}

function takenInto(people: readonly Person[], plan: Planned): readonly Person[] {
  if (plan.type === 'change') {
    return people.map((person) => (person.id === plan.id ? { ...person, ...(plan.fields as Person) } : person));
  }
  if (plan.type !== 'add') return people;
  return [...people, { ...(plan.fields as Partial<Person>), id: `person:row${plan.row}` } as Person];
}
