import { orderOf, type Clash, type ToldClash } from '@locutor/core/merging';

/** What two windows made of the same fields of a row, in words; `nameOf` tells what something is called by its id. */
export function describeRowClashes(
  clashes: readonly Clash[],
  nameOf: (id: string) => string | undefined,
): readonly ToldClash[] {
  return clashes.map(({ at, mine, theirs }): ToldClash => {
    const [field = '', item] = at;
    if (field === 'rota') {
      const where = item === 'swaps' && at[2] ? `Who is on call on ${at[2]}` : 'The rota';
      return { where, mine: rotaWords(mine, nameOf, 'here'), theirs: rotaWords(theirs, nameOf, 'in the other window') };
    }
    const where =
      item === undefined || item === orderOf ? labelOf(field) : `${labelOf(field)}: ${itemName(item, nameOf)}`;
    const words = (value: unknown): string =>
      item === undefined ? valueWords(value, nameOf) : itemWords(value, nameOf);
    if (item === orderOf) return { where, mine: 'the order made here', theirs: 'the order of the other window' };
    return { where, mine: words(mine), theirs: words(theirs) };
  });
}

/** A rota is told by whom it names; what else of it is another says where it was made. */
function rotaWords(value: unknown, nameOf: NameOf, made: string): string {
  const { personId } = (value ?? {}) as { personId?: string };
  return personId ? (nameOf(personId) ?? personId) : value === undefined ? 'no swap' : `as it was made ${made}`;
}

/** What the fields are called that were changed. */
export function fieldsInWords(changed: object): string {
  return Object.keys(changed)
    .map((field) => labelOf(field).toLowerCase())
    .join(', ');
}

const labels: Readonly<Record<string, string>> = {
  email: 'E-mail',
  hoursId: 'Hours',
  ownerId: 'Owner',
  inDirectory: 'Found by name',
  saidAs: 'How it is said',
  holdGreetingId: 'What is heard on hold',
  greetingId: 'Greeting',
  tell: 'Who is told',
  patterns: 'Numbers',
  closedWords: 'What is said outside its hours',
  specialWords: 'What is said on special dates',
  setsOwnHours: 'Sets their own hours',
};

/** `longestWaitSeconds` as "Longest wait seconds" where the field has no better name. */
function labelOf(field: string): string {
  const spaced = field.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
  return labels[field] ?? spaced.charAt(0).toUpperCase() + spaced.slice(1);
}

type NameOf = (id: string) => string | undefined;

/** The key of an item begins with an id where it has one. */
function itemName(item: string, nameOf: NameOf): string {
  const [id = ''] = item.split(' ');
  return nameOf(id) ?? item;
}

function itemWords(value: unknown, nameOf: NameOf): string {
  return value === undefined ? 'taken out' : valueWords(value, nameOf);
}

function valueWords(value: unknown, nameOf: NameOf): string {
  if (value === null || value === undefined || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return value.toLocaleString();
  if (typeof value === 'string') return nameOf(value) ?? `“${value}”`;
  if (Array.isArray(value)) return value.map((each) => valueWords(each, nameOf)).join('; ') || 'none';
  return Object.values(value as object)
    .map((each) => valueWords(each, nameOf))
    .join(', ');
}
