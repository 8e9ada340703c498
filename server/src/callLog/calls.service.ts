import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { outcomes } from '@locutor/core/call';
import type { CallId } from '@locutor/core/exchange';
import { readDate, type Hours } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { fateOf, searchedWords, type CallToWrite, type QuietHours } from '@locutor/core/traffic';
import { In, Repository, type SelectQueryBuilder } from 'typeorm';
import type { LineEntity } from '../lines/line.entity';
import { notFound } from '../problems/problem';
import { CallEntity } from './call.entity';
import { CallCounting } from './callCounting.service';
import { CallLog } from './callLog.service';
import { SettingsService } from '../settings/settings.service';
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
    private readonly counting: CallCounting,
    private readonly settings: SettingsService,
  ) {}

  /** Newest first, a page at a time, without their transcripts. */
  async page(query: CallsQuery, names: Names): Promise<CallsPage> {
    await this.ready(query);
    const found = this.found(query, namedBy(query.search, names));
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
    await this.counting.upToNow();
    const columns = csvColumns.map((name) => `call.${name}`);
    const calls = asQuery(this.found(query, namedBy(query.search, names)).select(columns).limit(mostInFile));
    const { rates } = await this.settings.get();
    return this.reckoning.of('callsCsv', {
      ...{ database: this.database, calls, names, rates },
      lineId: query.lineId ?? null,
    });
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

  /** Searches and figures go by what was counted; the log itself is there at once. */
  private async ready(query: CallsQuery): Promise<void> {
    if (query.search || countedAs(query)) await this.counting.upToNow();
    else await this.log.write();
  }

  private get database(): string {
    return String(this.calls.manager.connection.options.database);
  }

  private found(wanted: CallsQuery, named: readonly string[]): SelectQueryBuilder<CallEntity> {
    const { lineId, outcome, search, fromMs, toMs } = wanted;
    const query = this.calls.createQueryBuilder('call').orderBy('call.startedAt', 'DESC');
    if (lineId) query.andWhere('call.lineId = :lineId', { lineId });
    if (outcome) query.andWhere('call.outcome = :outcome', { outcome });
    if (fromMs !== undefined) query.andWhere('call.startedAt >= :fromMs', { fromMs });
    if (toMs !== undefined) query.andWhere('call.startedAt <= :toMs', { toMs });
    const counted = countedAs(wanted);
    if (counted) query.andWhere(`call.id IN (SELECT "callId" FROM "call_fact" WHERE ${counted.where})`, counted.of);
    if (search) this.search(query, search, named);
    return query;
  }

  /** Three letters or more by the index of what was said and dialled, fewer by looking at each; names by whom they are of. */
  private search(query: SelectQueryBuilder<CallEntity>, typed: string, named: readonly string[]): void {
    const text = searchedWords(typed);
    const words =
      [...text].length >= 3
        ? 'w."id" IN (SELECT "rowid" FROM "call_search" WHERE "call_search" MATCH :match)'
        : `w."text" LIKE :like ESCAPE '\\'`;
    const ways = [`call.id IN (SELECT w."callId" FROM "call_words" w WHERE ${words})`];
    if (named.length > 0) {
      ways.push('call.answeredBy IN (:...named)');
      ways.push('call.id IN (SELECT "callId" FROM "call_ring" WHERE "who" IN (:...named) OR "through" IN (:...named))');
    }
    query.andWhere(`(${ways.join(' OR ')})`, {
      match: `"${text.replace(/"/g, '""')}"`,
      like: `%${text.replace(/[\\%_]/g, '\\$&')}%`,
      named,
    });
  }
}

/** Of blocked calls and those that were cut no figure is made, but of what callers pressed in them, and of who was rung. */
const isCounted = `"outcome" NOT IN (${outcomes
  .filter((outcome) => fateOf[outcome] === 'aside')
  .map((outcome) => `'${outcome}'`)
  .join(', ')})`;

interface Counted {
  readonly where: string;
  readonly of: Readonly<Record<string, unknown>>;
}

/** The calls behind a figure of Traffic, by the line's clock; undefined where none is asked for. */
function countedAs(wanted: CallsQuery): Counted | undefined {
  const { who, ringEnd, through, sheetId, choice, first, boxId, fate, afterS, untilS, weekday, hour, outcome } = wanted;
  const [fromDay, toDay] = [readDate(wanted.from ?? ''), readDate(wanted.to ?? '')];
  const isFirst = sheetId !== undefined && first === 'yes';
  const ofFate = outcomes.filter((outcome) => fateOf[outcome] === fate);
  const calls = (table: string, where: string): string =>
    `"callId" IN (SELECT "callId" FROM "${table}" WHERE ${where})`;
  const chosen = choice === undefined ? '' : ' AND "choice" = :choice';
  const where = [
    ...(fromDay === undefined ? [] : ['"day" >= :fromDay']),
    ...(toDay === undefined ? [] : ['"day" <= :toDay']),
    ...(weekday === undefined ? [] : ['("day" + 3) % 7 + 1 = :weekday']),
    ...(hour === undefined ? [] : ['"minute" / 60 = :hour']),
    ...(who === undefined ? [] : [calls('call_ring', `"who" = :who${ringEnd ? ' AND "end" = :ringEnd' : ''}`)]),
    ...(through === undefined
      ? []
      : [`(${calls('call_ring', '"through" = :through')} OR ${calls('call_wait', '"queueId" = :through')})`]),
    ...(isFirst ? [`"firstSheetId" = :sheetId${chosen.replace('choice', 'firstChoice')}`] : []),
    ...(sheetId !== undefined && !isFirst ? [calls('call_visit', `"sheetId" = :sheetId${chosen}`)] : []),
    ...(boxId === undefined
      ? []
      : [
          '"callId" IN (SELECT c."id" FROM "call" c JOIN "message" m ON m."id" = c."messageId" WHERE m."boxId" = :boxId)',
        ]),
    ...(fate === undefined ? [] : [`"outcome" IN (${ofFate.map((outcome) => `'${outcome}'`).join(', ')})`]),
    ...(afterS === undefined ? [] : ['"toPersonMs" > :afterMs']),
    ...(untilS === undefined ? [] : ['"toPersonMs" <= :untilMs']),
  ];
  if (where.length === 0) return undefined;
  const times = { afterMs: (afterS ?? 0) * 1000, untilMs: (untilS ?? 0) * 1000 };
  const of = { fromDay, toDay, weekday, hour, who, ringEnd, through, sheetId, choice, boxId, ...times };
  const isOfAll = outcome !== undefined || who !== undefined || (sheetId !== undefined && !isFirst);
  return { where: (isOfAll ? where : [...where, isCounted]).join(' AND '), of };
}

/** Nobody is called so, or too many to say. */
const mostNamed = 100;

/** Whom a search may mean: those whose name it is part of, as they are called now or were last. */
function namedBy(search: string | undefined, names: Names): readonly string[] {
  const text = search?.trim().toLowerCase() ?? '';
  if (text === '') return [];
  return Object.entries(names)
    .filter(([, name]) => name.toLowerCase().includes(text))
    .map(([id]) => id)
    .slice(0, mostNamed);
}

function asQuery(query: SelectQueryBuilder<CallEntity>): Query {
  const [sql, parameters] = query.getQueryAndParameters();
  return { sql, parameters };
}

const csvColumns: readonly (keyof CallToWrite)[] = [
  'id',
  'lineId',
  'versionId',
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
