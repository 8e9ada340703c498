import { extensionPattern, readPhoneNumber, showPhoneNumber, type Country, type Person } from '../directory';
import { isFormula, readTable, writeCsv, type Table } from './csv';

/** Somebody as found in a row or on a card, not checked yet. */
export interface FoundPerson {
  /** Which row or card, counted from 1. */
  readonly row: number;
  readonly name: string;
  readonly extension: string;
  readonly email: string;
  readonly mobile: string;
  readonly saidAs: string;
  /** The card could not be read. */
  readonly unreadable?: boolean;
  /** What else stands there and is not taken, such as further numbers. */
  readonly leftOut?: readonly string[];
}

export const personColumns = ['name', 'firstName', 'lastName', 'extension', 'email', 'mobile', 'saidAs'] as const;
export type PersonColumn = (typeof personColumns)[number];

/** What columns are called in English, French, Spanish and German. */
const headings: Readonly<Record<PersonColumn, RegExp>> = {
  firstName: /^(first|given)([ _-]?names?)?$|^vornamen?$|^pr[ée]noms?$|^nombre de pila$/,
  lastName: /^(last|family|sur)[ _-]?names?$|^last$|^(nach|familien)namen?$|^nom de famille$|^apellidos?$/,
  name: /^((full|display|staff|employee)[ _-]?)?names?$|^person$|^who$|^nom( complet)?$|^nombre( completo)?$|^mitarbeiter(in)?$/,
  extension:
    /^ext(ension|n)?\.?( ?(number|no\.?|#))?$|^durchwahl$|^nebenstelle$|^poste( interne)?$|^extensi[óo]n$|^interno$|^anexo$/,
  email: /^(adresse )?e[ -]?mails?([ _-]?(adress|address)e?)?$|^mail$|^courriel$|^correo( electr[óo]nico)?$/,
  mobile:
    /^(mobile|cell)([ _-]?(phone|number))?$|^(tele)?phone([ _-]?number)?$|^texts?( to)?$|^mobil(telefon|nummer)?$|^handy(nummer)?$|^telefon(nummer)?$|^(t[ée]l[ée]phone )?portable$|^t[ée]l[ée]phone( mobile)?$|^m[óo]vil$|^celular$|^tel[ée]fono( m[óo]vil)?$/,
  saidAs: /^said[ _-]?as$|^pronunciation$|^phonetic( name)?$|^aussprache$|^prononciation$|^pronunciaci[óo]n$/,
};

/** A column of the table, as it was understood or chosen. */
export interface ReadColumn {
  /** Its heading, or what stands first in it. */
  readonly head: string;
  /** What it is; null where it is not taken. */
  readonly is: PersonColumn | null;
}

export interface PeopleTable {
  readonly people: readonly FoundPerson[];
  readonly columns: readonly ReadColumn[];
  /** Whether the first row names the columns, and is nobody. */
  readonly hasHeading: boolean;
  /** Whether that is known; else whoever takes the table in is asked. */
  readonly isHeadingKnown: boolean;
}

/** What whoever takes a table in says of it, where it was not understood. */
export interface TableChoice {
  readonly hasHeading?: boolean;
  /** What columns are, by their place. */
  readonly columns?: Readonly<Record<number, PersonColumn | null>>;
}

/**
 * Reads people from rows pasted from a spreadsheet or from a CSV file. Empty rows are passed over. Headings are known in
 * English, French, Spanish and German; where there are none, what stands in most cells of a column tells what it is, and a
 * first row that is unlike those below it is taken for headings in another language.
 *
 * @param country of which numbers are that do not say their own
 */
export function readPeopleTable(text: string, country?: Country, choice: TableChoice = {}): PeopleTable {
  const table = readTable(text);
  const first = table.findIndex(isFilled);
  const head = table[first];
  if (!head) return { people: [], columns: [], hasHeading: false, isHeadingKnown: true };
  const named = columnsByHeading(head);
  const isNamed = named.some((column) => column !== null);
  const below = table.slice(first + 1).filter(isFilled);
  const found = isNamed ? named : columnsByContent(below.length > 0 ? below : [head], country);
  const isUnlike = !isNamed && below.length > 0 && isUnlikeBelow(head, found, country);
  const hasHeading = choice.hasHeading ?? (isNamed || isUnlike);
  const columns = widened(found, head.length).map(
    (is, at) => choice.columns?.[at] ?? (isChosen(choice, at) ? null : is),
  );
  const people = table.flatMap((cells, index): FoundPerson[] => {
    const isRow = index > first || (index === first && !hasHeading);
    return isRow && isFilled(cells) ? [personOf(cells, columns, index + 1)] : [];
  });
  return {
    people,
    columns: columns.map((is, at) => ({ head: head[at] ?? '', is })),
    hasHeading,
    isHeadingKnown: isNamed || !isUnlike,
  };
}

const isFilled = (row: readonly string[]): boolean => row.some((cell) => cell !== '');
const isChosen = ({ columns }: TableChoice, at: number): boolean => columns !== undefined && at in columns;
const widened = (columns: Columns, width: number): Columns =>
  Array.from({ length: Math.max(columns.length, width) }, (_, at) => columns[at] ?? null);

/** Whether a first row has no address, number or extension where the rows below it have. */
function isUnlikeBelow(head: readonly string[], columns: Columns, country: Country | undefined): boolean {
  const told = columns.flatMap((is, at) => (is !== null && is !== 'name' ? [{ is, cell: head[at] ?? '' }] : []));
  return told.length > 0 && told.every(({ is, cell }) => cell !== '' && kindOf(cell, country) !== is);
}

/** Writes people as CSV with headings, from which they can be read back. */
export function writePeopleCsv(people: readonly Person[]): string {
  const rows = people.map(({ name, extension, email, mobile, saidAs }) => [
    name,
    extension,
    email,
    mobile ? showPhoneNumber(mobile) : '',
    saidAs,
  ]);
  return writeCsv([['Name', 'Extension', 'E-mail', 'Mobile', 'Said as'], ...rows]);
}

type Columns = readonly (PersonColumn | null)[];

function columnsByHeading(row: readonly string[]): Columns {
  const names = personColumns.map((name) => [name, headings[name]] as const);
  const cells = row.map((cell) => cell.toLowerCase().normalize('NFC'));
  const found = cells.map((cell) => names.find(([, pattern]) => pattern.test(cell))?.[0] ?? null);
  // Beside a first name a French "nom" is the last one; beside a last name a Spanish "nombre" is the first.
  return found.map((is, at) => {
    if (cells[at] === 'nom' && found.includes('firstName')) return 'lastName';
    return cells[at] === 'nombre' && found.includes('lastName') ? 'firstName' : is;
  });
}

function kindOf(cell: string, country: Country | undefined): PersonColumn | null {
  if (cell.includes('@')) return 'email';
  if (extensionPattern.test(cell)) return 'extension';
  if (readPhoneNumber(cell, country).ok) return 'mobile';
  return /\p{L}/u.test(cell) ? 'name' : null;
}

/** So many rows of a long table tell what its columns are. */
const mostLookedAt = 500;

/** Without headings, what most cells of a column look like tells what it is; of several alike the first. */
function columnsByContent(table: Table, country: Country | undefined): Columns {
  const rows = table.slice(0, mostLookedAt);
  const width = Math.max(...rows.map((row) => row.length));
  const taken = new Set<PersonColumn>();
  return Array.from({ length: width }, (_, column) => {
    const kinds = rows.map((row) => row[column] ?? '').flatMap((cell) => (cell === '' ? [] : [kindOf(cell, country)]));
    const kind = personColumns.find((each) => kinds.filter((is) => is === each).length * 2 > kinds.length) ?? null;
    if (kind === null || taken.has(kind)) return null;
    taken.add(kind);
    return kind;
  });
}

function personOf(cells: readonly string[], columns: Columns, row: number): FoundPerson {
  const cell = (column: PersonColumn): string => cells[columns.indexOf(column)] ?? '';
  const name = cell('name') || `${cell('firstName')} ${cell('lastName')}`.trim();
  return {
    row,
    name: isFormula(name) ? name : turned(name),
    extension: cell('extension'),
    email: cell('email'),
    mobile: cell('mobile'),
    saidAs: cell('saidAs'),
  };
}

/** What follows a name behind a comma and is none: of which generation somebody is, and degrees. */
const suffix = /^(jr|sr|ii|iii|iv|esq|ph\.?\s?d|m\.?\s?d|b\.?\s?a|m\.?\s?a|b\.?\s?sc|m\.?\s?sc|dr\.?\s?med)\.?$/i;

/** Degrees are written in capitals; a whole table in capitals has names that are, too. */
function isSuffix(text: string, name: string): boolean {
  const isCapitals = /^([A-Z]\.?){2,6}$/.test(text) && name !== name.toUpperCase();
  return suffix.test(text) || isCapitals;
}

/** "Haldane, Noor" is Noor Haldane; "Ann Lee, DDS" is Ann Lee, DDS. */
function turned(name: string): string {
  const [last = '', first = '', ...more] = name.split(',').map((part) => part.trim());
  const isTurned = first !== '' && more.length === 0 && !isSuffix(first, name);
  return isTurned ? `${first} ${last}` : name.replace(/\s+/g, ' ');
}
