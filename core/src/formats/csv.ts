import Papa from 'papaparse';

/** Rows of cells, as in a spreadsheet. */
export type Table = readonly (readonly string[])[];

/** Text that a spreadsheet would take for a formula; telephone numbers are left alone. */
const formula = /^[=@\t\r]|^[+-](?![\d ().-]*$)/;

/** Reads rows copied from a spreadsheet (tabs) or a CSV file (RFC 4180; commas or semicolons), quotes respected. */
export function readTable(text: string): Table {
  const plain = text.startsWith('\uFEFF') ? text.slice(1) : text;
  const delimiter = saidDelimiter(plain);
  const { data } = Papa.parse<string[]>(delimiter ? plain.slice(plain.indexOf('\n') + 1) : plain, {
    ...(delimiter ? { delimiter } : { delimitersToGuess: ['\t', ',', ';'] }),
    skipEmptyLines: false,
  });
  return data.map((row) => row.map((cell) => cell.trim().replace(/^'(?=[=@+-])/, '')));
}

/** Some spreadsheets say in a line of its own what stands between cells. */
function saidDelimiter(text: string): string | undefined {
  const first = text.slice(0, Math.max(0, text.indexOf('\n'))).trimEnd();
  return first.length === 5 && first.toLowerCase().startsWith('sep=') ? first[4] : undefined;
}

/** Writes rows as CSV (RFC 4180). A cell that a spreadsheet would run as a formula gets an apostrophe before it. */
export function writeCsv(table: Table): string {
  return `${Papa.unparse(
    table.map((row) => row.map((cell) => (isFormula(cell) ? `'${cell}` : cell))),
    { newline: '\r\n' },
  )}\r\n`;
}

export function isFormula(cell: string): boolean {
  return formula.test(cell);
}
