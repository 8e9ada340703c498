import { outcomeOf, waitedMs, type TranscriptEntry } from '../call';
import { showPhoneNumber } from '../directory';
import type { CallId } from '../exchange';
import { writeCsv } from '../formats';
import { clockReading, type TimeZone } from '../hours';
import type { Names } from '../line';
import { chosenIn, type SheetThen } from './chosen';
import { rungIn } from './rings';
import { outcomeWords } from './words/en';

/** A call of the log, as far as a spreadsheet has columns for it. */
export interface CallToWrite {
  readonly id: CallId;
  readonly lineId: string;
  /** The version that was on air; null where none was. */
  readonly versionId: string | null;
  readonly callerNumber: string;
  /** In ms since 1970. */
  readonly startedAt: number;
  readonly endedAt: number | null;
  /** Whether it was at a pretended moment: no figure counts it. */
  readonly pretended: boolean;
  readonly answeredBy: string | null;
  readonly transcript: readonly TranscriptEntry[];
}

/** What stands for what in a call. */
export interface CsvFacts {
  readonly names: Names;
  readonly zoneOf: (lineId: string) => TimeZone;
  readonly sheetOf: SheetThen;
  /** In the currency, with a point for decimals; undefined where no rate card holds, and nothing is charged. */
  readonly costOf: (callId: CallId) => string | undefined;
  /** Null without any rate card. */
  readonly currency: string | null;
}

/** The call log as CSV (RFC 4180), a call a row, in the time of its line. */
export function writeCallsCsv(calls: readonly CallToWrite[], facts: CsvFacts): string {
  const header = [
    ...['date', 'time', 'time zone', 'seconds', 'line', 'caller', 'menu', 'keys', 'chosen', 'until answered (s)'],
    ...[
      'waited (s)',
      'rung',
      'answered by',
      'outcome',
      `cost${facts.currency ? ` (${facts.currency})` : ''}`,
      'pretended',
    ],
  ];
  return writeCsv([header, ...calls.map((call) => rowOf(call, facts))]);
}

function rowOf(call: CallToWrite, facts: CsvFacts): readonly string[] {
  const { lineId, callerNumber, startedAt, endedAt, pretended, answeredBy, transcript } = call;
  const { names } = facts;
  const zone = facts.zoneOf(lineId);
  const [date = '', time = ''] = clockReading(startedAt, zone).split('T');
  const outcome = outcomeOf(transcript);
  const answered = transcript.find(({ type }) => type === 'answered' || type === 'handedOver');
  const nameOf = (id: string): string =>
    names[id] ?? (id.startsWith('+') ? showPhoneNumber(id as never) : 'somebody deleted');
  const rung = new Set(rungIn(transcript).rings.map(({ who }) => nameOf(who)));
  const keys = transcript.flatMap((entry) => (entry.type === 'key' && entry.use !== 'ignored' ? [entry.key] : []));
  return [
    ...[date, time, zone, endedAt === null ? '' : seconds(endedAt - startedAt), names[lineId] ?? 'a deleted line'],
    callerNumber.startsWith('+') ? showPhoneNumber(callerNumber) : callerNumber,
    firstSheet(call, facts),
    keys.join(' '),
    chosenIn(call, facts.sheetOf).join('; '),
    answered ? seconds(answered.atMs - startedAt) : '',
    seconds(waitedMs(transcript)),
    [...rung].join('; '),
    answeredBy ? nameOf(answeredBy) : '',
    outcome ? outcomeWords[outcome] : '',
    facts.costOf(call.id) ?? '',
    pretended ? 'yes' : '',
  ];
}

function seconds(ms: number): string {
  return String(Math.round(ms / 1000));
}

function firstSheet({ versionId, transcript }: CallToWrite, { sheetOf }: CsvFacts): string {
  const first = transcript.find((entry) => entry.type === 'sheet');
  return first?.type === 'sheet' ? (sheetOf(versionId, first.sheetId)?.name ?? '') : '';
}
