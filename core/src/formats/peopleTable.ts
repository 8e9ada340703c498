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
}

export type PersonColumn = 'name' | 'firstName' | 'lastName' | 'extension' | 'email' | 'mobile' | 'saidAs';

const headings: Readonly<Record<PersonColumn, RegExp>> = {
  firstName: /^(first|given)([ _-]?names?)?$/,
  lastName: /^(last|family|sur)[ _-]?names?$|^last$/,
  name: /^((full|display|staff|employee)[ _-]?)?names?$|^person$|^who$/,
  extension: /^ext(ension|n)?\.?( ?(number|no\.?|#))?$/,
  email: /^e[ -]?mails?([ _-]?address)?$|^mail$/,
  mobile: /^(mobile|cell)([ _-]?(phone|number))?$|^(tele)?phone([ _-]?number)?$|^texts?( to)?$/,
  saidAs: /^said[ _-]?as$|^pronunciation$|^phonetic( name)?$/,
};

/** Reads people from rows pasted from a spreadsheet or from a CSV file. Empty rows are passed over. */
export function readPeopleTable(text: string, country?: Country): readonly FoundPerson[] {
  const table = readTable(text);
  const first = table.findIndex((row) => row.some((cell) => cell !== ''));
  if (first === -1) return [];
  const named = columnsByHeading(table[first] ?? []);
  const isHeading = named.some((column) => column !== null);
  const columns = isHeading ? named : columnsByContent(table, country);
  return table.flatMap((cells, index): FoundPerson[] => {
    const isRow = index > first || (index === first && !isHeading);
    return isRow && cells.some((cell) => cell !== '') ? [personOf(cells, columns, index + 1)] : [];
  });
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
  const names = Object.entries(headings) as [PersonColumn, RegExp][];
  return row.map((cell) => names.find(([, pattern]) => pattern.test(cell.toLowerCase()))?.[0] ?? null);
}

/** Without headings, what most cells of a column look like tells what it is. */
function columnsByContent(table: Table, country: Country | undefined): Columns {
  const width = Math.max(...table.map((row) => row.length));
  const taken = new Set<PersonColumn>();
  return Array.from({ length: width }, (_, column) => {
    const cells = table.map((row) => row[column] ?? '').filter((cell) => cell !== '');
    const most = (is: (cell: string) => boolean): boolean => cells.filter(is).length * 2 > cells.length;
    const kind: PersonColumn | null = most((cell) => cell.includes('@'))
      ? 'email'
      : most((cell) => extensionPattern.test(cell))
        ? 'extension'
        : most((cell) => readPhoneNumber(cell, country).ok)
          ? 'mobile'
          : most((cell) => /\p{L}/u.test(cell))
            ? 'name'
            : null;
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
