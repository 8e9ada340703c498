import { outcomeOf, waitedMs, type TranscriptEntry } from '../call';
import { showPhoneNumber } from '../directory';
import type { Names } from '../line';
import { outcomeWords } from './words/en';
import { writeCsv } from '../formats';

/** A call of the log, as far as a spreadsheet has columns for it. */
export interface CallToWrite {
  readonly lineId: string;
  readonly callerNumber: string;
  /** In ms since 1970. */
  readonly startedAt: number;
  readonly endedAt: number | null;
  /** Whether it was at a pretended moment: no figure counts it. */
  readonly pretended: boolean;
  readonly answeredBy: string | null;
  readonly transcript: readonly TranscriptEntry[];
}

const header = [
  'started (UTC)',
  'seconds',
  'line',
  'caller',
  'keys',
  'waited (s)',
  'answered by',
  'outcome',
  'pretended',
];

/** The call log as CSV (RFC 4180), a call a row. */
export function writeCallsCsv(calls: readonly CallToWrite[], names: Names): string {
  const rows = calls.map(({ lineId, callerNumber, startedAt, endedAt, pretended, answeredBy, transcript }) => {
    const outcome = outcomeOf(transcript);
    return [
      new Date(startedAt).toISOString(),
      endedAt === null ? '' : String(Math.round((endedAt - startedAt) / 1000)),
      names[lineId] ?? lineId,
      callerNumber.startsWith('+') ? showPhoneNumber(callerNumber) : callerNumber,
      transcript.flatMap((entry) => (entry.type === 'key' && entry.use !== 'ignored' ? [entry.key] : [])).join(' '),
      String(Math.round(waitedMs(transcript) / 1000)),
      answeredBy ? (names[answeredBy] ?? answeredBy) : '',
      outcome ? outcomeWords[outcome] : '',
      pretended ? 'yes' : '',
    ];
  });
  return writeCsv([header, ...rows]);
}
