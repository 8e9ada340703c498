import Database from 'better-sqlite3';
import { writeCallsCsv, type CallToWrite } from '@locutor/core/traffic';
import type { CsvTask } from './csvTask';

interface Row {
  readonly call_lineId: string;
  readonly call_callerNumber: string;
  readonly call_startedAt: number;
  readonly call_endedAt: number | null;
  readonly call_pretended: number;
  readonly call_answeredBy: string | null;
  readonly call_transcript: string;
}

/** Reads calls and writes them as CSV, on a connection of its own: the thread that runs the calls has nothing to do with it. */
export default function work({ database, sql, parameters, names }: CsvTask): Uint8Array {
  const connection = new Database(database, { readonly: true });
  try {
    const rows = connection.prepare<unknown[], Row>(sql).all(...parameters);
    return Buffer.from(writeCallsCsv(rows.map(callOf), names));
  } finally {
    connection.close();
  }
}

function callOf(row: Row): CallToWrite {
  return {
    lineId: row.call_lineId,
    callerNumber: row.call_callerNumber,
    startedAt: row.call_startedAt,
    endedAt: row.call_endedAt,
    pretended: Boolean(row.call_pretended),
    answeredBy: row.call_answeredBy,
    transcript: JSON.parse(row.call_transcript) as CallToWrite['transcript'],
  };
}
