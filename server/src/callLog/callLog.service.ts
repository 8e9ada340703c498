import { setImmediate } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { outcomeOf, type TranscriptEntry } from '@locutor/core/call';
import type { CallId } from '@locutor/core/exchange';
import { IsNull, Repository } from 'typeorm';
import { Clock, type Stop } from '../clock/clock';
import { log } from '../log/log';
import { CallEntity } from './call.entity';

const writeEveryMs = 150;
/** How long after the log could not be written it is tried again. */
const tryAgainMs = 2000;
const rowsAtOnce = 20;

/** Writes calls down while they go on: many at a time, so that a thousand of them do not wait for the disk. */
@Injectable()
export class CallLog {
  private readonly changed = new Map<CallId, CallEntity>();
  private stopWaiting: Stop | null = null;
  private writing: Promise<void> = Promise.resolve();

  private readonly keepsAll: string;

  constructor(
    @InjectRepository(CallEntity) private readonly calls: Repository<CallEntity>,
    private readonly clock: Clock,
  ) {
    this.keepsAll = keepsAll(calls.metadata.columns.map(({ databaseName }) => databaseName));
  }

  /** Keeps a call as it is now, within a moment. */
  put(call: CallEntity): void {
    this.changed.set(call.id, call);
    this.writeIn(writeEveryMs);
  }

  /** Writes what is still to be written. */
  write(): Promise<void> {
    this.stopWaiting?.();
    this.stopWaiting = null;
    const rows = [...this.changed.values()];
    this.changed.clear();
    if (rows.length > 0) {
      this.writing = this.writing
        .then(() => this.writeRows(rows))
        .catch((error: unknown) => {
          log.error({ err: error }, 'Calls could not be written to the log');
          // What is newer of a call meanwhile stays.
          for (const row of rows) if (!this.changed.has(row.id)) this.changed.set(row.id, row);
          this.writeIn(tryAgainMs);
        });
    }
    return this.writing;
  }

  private writeIn(ms: number): void {
    this.stopWaiting ??= this.clock.after(ms, () => this.write());
  }

  /** A few at a time: the database works on the thread that also runs the calls. */
  private async writeRows(rows: readonly CallEntity[]): Promise<void> {
    for (let from = 0; from < rows.length; from += rowsAtOnce) {
      await this.calls.query(this.keepsAll, [JSON.stringify(rows.slice(from, from + rowsAtOnce))]);
      await setImmediate();
    }
  }

  async get(id: CallId): Promise<CallEntity | null> {
    await this.write();
    return this.calls.findOneBy({ id });
  }

  /** Calls that were going on when the server was killed are over: they were cut off, when it was last known to run. */
  async endCut(aliveMs: number): Promise<number> {
    const left = await this.calls.findBy({ endedAt: IsNull() });
    for (const call of left) {
      const atMs = Math.max(aliveMs, call.transcript.at(-1)?.atMs ?? call.startedAt);
      const transcript: TranscriptEntry[] = [...call.transcript, { type: 'ended', atMs, reason: 'cut' }];
      await this.calls.update({ id: call.id }, { transcript, endedAt: atMs, outcome: outcomeOf(transcript) } as never);
    }
    return left.length;
  }
}

/**
 * Keeps every call of a JSON array. It is prepared once and takes a tenth of the time that writing a query for them would: the
 * thread that does it runs the calls.
 */
function keepsAll(columns: readonly string[]): string {
  const names = columns.map((name) => `"${name}"`).join(', ');
  const values = columns.map((name) => `json_extract(value, '$.${name}')`).join(', ');
  const changes = columns.map((name) => `"${name}" = excluded."${name}"`).join(', ');
  return `INSERT INTO "call" (${names}) SELECT ${values} FROM json_each(?) WHERE true ON CONFLICT ("id") DO UPDATE SET ${changes}`;
}
