import { outcomeOf, waitedMs, type TranscriptEntry } from '../call';
import { showPhoneNumber } from '../directory';
import type { CallId } from '../exchange';
import { clockReading, type TimeZone } from '../hours';
import type { Language, Names } from '../line';
import { chosenIn, type SheetThen } from './chosen';
import { rungIn } from './rings';
import { said, saidOutcome, sayCell, writeTable, type TableCell } from './words/tableWords';

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
  /** In which the words are; names and what keys are for stay as they are. */
  readonly language: Language;
}

/** The call log as CSV (RFC 4180), a call a row, in the time of its line. */
export function writeCallsCsv(calls: readonly CallToWrite[], facts: CsvFacts): string {
  const header = [
    ...[said('date'), said('time'), said('time zone'), said('seconds'), said('line'), said('caller'), said('menu')],
    ...[said('keys'), said('chosen'), said('until answered (s)'), said('waited (s)'), said('rung')],
    ...[said('answered by'), said('outcome'), facts.currency ? said('cost ({})', facts.currency) : said('cost')],
    said('pretended'),
  ];
  return writeTable([header, ...calls.map((call) => rowOf(call, facts))], facts.language);
}

function rowOf(call: CallToWrite, facts: CsvFacts): readonly TableCell[] {
  const { lineId, callerNumber, startedAt, endedAt, pretended, answeredBy, transcript } = call;
  const { names } = facts;
  const zone = facts.zoneOf(lineId);
  const [date = '', time = ''] = clockReading(startedAt, zone).split('T');
  const outcome = outcomeOf(transcript);
  const deleted = sayCell(said('somebody deleted'), facts.language);
  const answered = transcript.find(({ type }) => type === 'answered' || type === 'handedOver');
  const nameOf = (id: string): string => names[id] ?? (id.startsWith('+') ? showPhoneNumber(id as never) : deleted);
  const rung = new Set(rungIn(transcript).rings.map(({ who }) => nameOf(who)));
  const keys = transcript.flatMap((entry) => (entry.type === 'key' && entry.use !== 'ignored' ? [entry.key] : []));
  return [
    ...[
      date,
      time,
      zone,
      endedAt === null ? '' : seconds(endedAt - startedAt),
      names[lineId] ?? said('a deleted line'),
    ],
    callerNumber.startsWith('+') ? showPhoneNumber(callerNumber) : callerNumber,
    firstSheet(call, facts),
    keys.join(' '),
    chosenIn(call, facts.sheetOf).join('; '),
    answered ? seconds(answered.atMs - startedAt) : '',
    seconds(waitedMs(transcript)),
    [...rung].join('; '),
    answeredBy ? nameOf(answeredBy) : '',
    outcome ? saidOutcome(outcome) : '',
    facts.costOf(call.id) ?? '',
    pretended ? said('yes') : '',
  ];
}

function seconds(ms: number): string {
  return String(Math.round(ms / 1000));
}

function firstSheet({ versionId, transcript }: CallToWrite, { sheetOf }: CsvFacts): string {
  const first = transcript.find((entry) => entry.type === 'sheet');
  return first?.type === 'sheet' ? (sheetOf(versionId, first.sheetId)?.name ?? '') : '';
}
