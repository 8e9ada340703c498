import Database from 'better-sqlite3';
import { writeCallsCsv, type CallToWrite } from '@locutor/core/traffic';
import type { PageOfIds, Query, Reckonings } from './task';

interface Row {
  readonly call_lineId: string;
  readonly call_callerNumber: string;
  readonly call_startedAt: number;
  readonly call_endedAt: number | null;
  readonly call_pretended: number;
  readonly call_answeredBy: string | null;
  readonly call_transcript: string;
}

/** What is read on a connection of its own: the thread that runs the calls has nothing to do with it. */
function read<Found>(database: string, reads: (rows: <Each>(query: Query) => Each[]) => Found): Found {
  const connection = new Database(database, { readonly: true });
  try {
    return reads(<Each>({ sql, parameters }: Query) => connection.prepare<unknown[], Each>(sql).all(...parameters));
  } finally {
    connection.close();
  }
}

export function callsCsv({ database, calls, names }: Reckonings['callsCsv']['from']): Uint8Array {
  return read(database, (rows) => Buffer.from(writeCallsCsv(rows<Row>(calls).map(callOf), names)));
}

export function pageOfIds({ database, ids, inAll }: Reckonings['page']['from']): PageOfIds {
  return read(database, (rows) => ({
    ids: rows<{ id: string }>(ids).map(({ id }) => id),
    inAll: rows<{ inAll: number }>(inAll)[0]?.inAll ?? 0,
  }));
}

export function startedAt({ database, startedAt }: Reckonings['quietest']['from']): readonly number[] {
  return read(database, (rows) => rows<{ startedAt: number }>(startedAt).map((row) => row.startedAt));
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
