import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CallId } from '@locutor/core/exchange';
import type { LineId, Names } from '@locutor/core/line';
import type { CallToWrite } from '@locutor/core/traffic';
import { MoreThanOrEqual, Repository, type SelectQueryBuilder } from 'typeorm';
import { notFound } from '../problems/problem';
import { CallEntity } from './call.entity';
import { CallLog } from './callLog.service';
import type { CallsQuery } from './calls.dto';
import type { CsvTask } from './csvTask';
import { Workers } from '../workers';

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
export class CallsService implements OnModuleDestroy {
  private readonly workers = new Workers<CsvTask, Uint8Array>(
    require.resolve('@locutor/server/callLog/callsCsv.worker'),
  );

  constructor(
    @InjectRepository(CallEntity) private readonly calls: Repository<CallEntity>,
    private readonly log: CallLog,
  ) {}

  /** Newest first, a page at a time, without their transcripts. */
  async page(query: CallsQuery): Promise<CallsPage> {
    await this.log.write();
    const found = this.found(query).select(rowColumns.map((name) => `call.${name}`));
    const [calls, inAll] = await found
      .skip(query.skip ?? 0)
      .take(callsAtOnce)
      .getManyAndCount();
    return { calls, inAll };
  }

  /** Calls as a spreadsheet (CSV, RFC 4180), newest first; read and written in a worker thread. */
  async csv(query: CallsQuery, names: Names): Promise<Uint8Array> {
    await this.log.write();
    const columns = csvColumns.map((name) => `call.${name}`);
    const [sql, parameters] = this.found(query).select(columns).limit(mostInFile).getQueryAndParameters();
    const { database } = this.calls.manager.connection.options;
    return this.workers.run({ database: String(database), sql, parameters: [...parameters], names });
  }

  async onModuleDestroy(): Promise<void> {
    await this.workers.end();
  }

  async get(id: CallId): Promise<CallEntity> {
    const call = await this.log.get(id);
    if (!call) throw notFound('That call');
    return call;
  }

  /** When the calls of a line began, from a moment on; those at a pretended one left out. */
  async startedSince(lineId: LineId, fromMs: number): Promise<readonly number[]> {
    await this.log.write();
    const rows = await this.calls.find({
      where: { lineId, pretended: false, startedAt: MoreThanOrEqual(fromMs) },
      select: { id: true, startedAt: true },
    });
    return rows.map(({ startedAt }) => startedAt);
  }

  /** Forgets calls that began before a moment; what was recorded of them is swept. */
  async forgetBefore(ms: number): Promise<void> {
    await this.calls.createQueryBuilder().delete().where('startedAt < :ms AND endedAt IS NOT NULL', { ms }).execute();
  }

  private found({ lineId, outcome, search, fromMs, toMs }: CallsQuery): SelectQueryBuilder<CallEntity> {
    const query = this.calls.createQueryBuilder('call').orderBy('call.startedAt', 'DESC');
    if (lineId) query.andWhere('call.lineId = :lineId', { lineId });
    if (outcome) query.andWhere('call.outcome = :outcome', { outcome });
    if (fromMs !== undefined) query.andWhere('call.startedAt >= :fromMs', { fromMs });
    if (toMs !== undefined) query.andWhere('call.startedAt <= :toMs', { toMs });
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
