import { writeCsv } from '../formats';
import type { Attendant, Names } from '../line';
import type { FoundPath } from './everyPath';
import { describeChoices, describeWholeEnd, describeMoment, staffWords } from './words/en';

const header = [
  'when',
  'for example at (UTC)',
  'keys',
  'staff',
  'ends',
  'seconds to a person, listening',
  'seconds to a person, knowing the keys',
  'seconds in all',
];

/** Every path as CSV (RFC 4180), one a row. */
export function writePathsCsv(paths: readonly FoundPath[], attendant: Attendant, names: Names): string {
  const rows = paths.map(({ moment, turns, staff, end, personMs, quickPersonMs, endMs }) => [
    describeMoment(moment, names),
    new Date(moment.atMs).toISOString(),
    describeChoices(turns),
    staffWords[staff],
    describeWholeEnd(end, attendant, names),
    seconds(personMs),
    seconds(quickPersonMs),
    seconds(endMs),
  ]);
  return writeCsv([header, ...rows]);
}

function seconds(ms: number | null): string {
  return ms === null ? '' : String(Math.round(ms / 1000));
}
