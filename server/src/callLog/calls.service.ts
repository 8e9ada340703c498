import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { outcomes } from '@locutor/core/call';
import type { CallId } from '@locutor/core/exchange';
import { readDate, type Hours } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { fateOf, type CallToWrite, type QuietHours } from '@locutor/core/traffic';
import { In, Repository, type SelectQueryBuilder } from 'typeorm';
import type { LineEntity } from '../lines/line.entity';
import { notFound } from '../problems/problem';
import { CallEntity } from './call.entity';
import { CallLog } from './callLog.service';
import type { CallsQuery } from './calls.dto';
import { Reckoning } from '../reckoning/reckoning.module';
import type { Query } from '../reckoning/task';

/** A page of the log. */
const callsAtOnce = 100;
/** How many calls are written into one spreadsheet. */
const mostInFile = 20_000;

export type CallRow = Omit<CallEntity, 'transcript'>;

export interface CallsPage {
  readonly calls: readonly CallRow[];
  /** How many there are in all. */
  readonly inAll: number;
}

/** Reads the call log. */
@Injectable()
export class CallsService {
  constructor(
    @InjectRepository(CallEntity) private readonly calls: Repository<CallEntity>,
    private readonly log: CallLog,
    private readonly reckoning: Reckoning,
  ) {}

  /** Newest first, a page at a time, without their transcripts. */
  async page(query: CallsQuery): Promise<CallsPage> {
    await this.log.write();
    const found = this.found(query);
    const ids = found
      .clone()
      .select('call.id', 'id')
      .offset(query.skip ?? 0)
      .limit(callsAtOnce);
    const inAll = found.clone().select('count(*)', 'inAll').orderBy();
    const page = await this.reckoning.of('page', { database: this.database, ids: asQuery(ids), inAll: asQuery(inAll) });
    const rows = await this.calls
      .createQueryBuilder('call')
      .select(rowColumns.map((name) => `call.${name}`))
      .where({ id: In([...page.ids]) })
      .getMany();
    const byId = new Map<string, CallRow>(rows.map((row) => [row.id, row]));
    return { calls: page.ids.flatMap((id) => byId.get(id) ?? []), inAll: page.inAll };
  }

  /** Calls as a spreadsheet (CSV, RFC 4180), newest first; read and written in a worker thread. */
  async csv(query: CallsQuery, names: Names): Promise<Uint8Array> {
    await this.log.write();
    const columns = csvColumns.map((name) => `call.${name}`);
    const calls = asQuery(this.found(query).select(columns).limit(mostInFile));
    return this.reckoning.of('callsCsv', { database: this.database, calls, names });
  }

  async get(id: CallId): Promise<CallEntity> {
    const call = await this.log.get(id);
    if (!call) throw notFound('That call');
    return call;
  }

  /** The quietest hours ahead of a line, by the calls that began since a moment; those at a pretended one left out. */
  async quietest({ id, timeZone }: LineEntity, hours: Hours, fromMs: number, nowMs: number): Promise<QuietHours> {
    await this.log.write();
    const began = this.calls
      .createQueryBuilder('call')
      .select('call.startedAt', 'startedAt')
      .where('call.lineId = :id AND call.pretended = 0 AND call.startedAt >= :fromMs', { id, fromMs });
    const from = { database: this.database, startedAt: asQuery(began), hours, zone: timeZone, nowMs };
    return this.reckoning.of('quietest', from);
  }

  /** Forgets calls that began before a moment; what was recorded of them is swept. */
  async forgetBefore(ms: number): Promise<void> {
    await this.calls.createQueryBuilder().delete().where('startedAt < :ms AND endedAt IS NOT NULL', { ms }).execute();
  }

  private get database(): string {
    return String(this.calls.manager.connection.options.database);
  }

  private found(wanted: CallsQuery): SelectQueryBuilder<CallEntity> {
    const { lineId, outcome, search, fromMs, toMs } = wanted;
    const query = this.calls.createQueryBuilder('call').orderBy('call.startedAt', 'DESC');
    if (lineId) query.andWhere('call.lineId = :lineId', { lineId });
    if (outcome) query.andWhere('call.outcome = :outcome', { outcome });
    if (fromMs !== undefined) query.andWhere('call.startedAt >= :fromMs', { fromMs });
    if (toMs !== undefined) query.andWhere('call.startedAt <= :toMs', { toMs });
    const counted = countedAs(wanted);
    if (counted) query.andWhere(`call.id IN (SELECT "callId" FROM "call_fact" WHERE ${counted.where})`, counted.of);
    if (search) {
      const like = `%${search.replace(/[\\%_]/g, '\\$&')}%`;
      query.andWhere(
        "(call.callerNumber LIKE :like ESCAPE '\\' OR call.answeredBy LIKE :like ESCAPE '\\' OR call.transcript LIKE :like ESCAPE '\\')",
        { like },
      );
    }
    return query;
  }
}

/** Of blocked calls and those that were cut no figure is made. */
const isCounted = `"outcome" NOT IN (${outcomes
  .filter((outcome) => fateOf[outcome] === 'aside')
  .map((outcome) => `'${outcome}'`)
  .join(', ')})`;

/** The calls behind a figure of Traffic, by the line's clock; undefined where none is asked for. */
function countedAs({
  from,
  to,
  weekday,
  hour,
}: CallsQuery): { readonly where: string; readonly of: object } | undefined {
  const [fromDay, toDay] = [readDate(from ?? ''), readDate(to ?? '')];
  const where = [
    ...(fromDay === undefined ? [] : ['"day" >= :fromDay']),
    ...(toDay === undefined ? [] : ['"day" <= :toDay']),
    ...(weekday === undefined ? [] : ['("day" + 3) % 7 + 1 = :weekday']),
    ...(hour === undefined ? [] : ['"minute" / 60 = :hour']),
  ];
  if (where.length === 0) return undefined;
  return { where: [...where, isCounted].join(' AND '), of: { fromDay, toDay, weekday, hour } };
}

function asQuery(query: SelectQueryBuilder<CallEntity>): Query {
  const [sql, parameters] = query.getQueryAndParameters();
  return { sql, parameters };
}

const csvColumns: readonly (keyof CallToWrite)[] = [
  'lineId',
  'callerNumber',
  'startedAt',
  'endedAt',
  'pretended',
  'answeredBy',
  'transcript',
];

const rowColumns: readonly (keyof CallRow)[] = [
  'id',
  'lineId',
  'versionId',
  'callerNumber',
  'staffCaller',
  'startedAt',
  'endedAt',
  'pretended',
  'outcome',
  'answeredBy',
  'messageId',
  'recordingId',
  'recordingMs',
];
