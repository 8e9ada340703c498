import { Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { log } from '../log/log';
import { Reckoning } from '../reckoning/reckoning.module';
import { CallLog } from './callLog.service';

/** Has the calls that are over counted for Traffic and for the search, in a worker thread; see docs/traffic.md. */
@Injectable()
export class CallCounting implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private counting: Promise<unknown> = Promise.resolve();
  private isStopping = false;

  constructor(
    @InjectDataSource() private readonly connection: DataSource,
    private readonly calls: CallLog,
    private readonly reckoning: Reckoning,
  ) {}

  /** What a release before this one logged is counted as soon as there is time. */
  onApplicationBootstrap(): void {
    this.countLeft().catch((err: unknown) => {
      // It is taken up at the next start.
      if (!this.isStopping) log.error({ err }, 'The calls could not be counted');
    });
  }

  beforeApplicationShutdown(): void {
    this.isStopping = true;
  }

  /** Counts the calls that are over and were not counted yet; or all of them anew. One after the other. */
  count(anew: boolean): Promise<unknown> {
    const database = String(this.connection.options.database);
    const next = (): Promise<number> => this.reckoning.of('countCalls', { database, anew });
    this.counting = this.counting.then(next, next);
    return this.counting;
  }

  /** Waits until every call that is over by now is counted. */
  async upToNow(): Promise<void> {
    await this.calls.write();
    await this.countLeft();
  }

  /** Without anything to count no thread is begun. */
  private async countLeft(): Promise<void> {
    if (await this.isBehind()) await this.count(false);
  }

  private async isBehind(): Promise<boolean> {
    const [row] = (await this.connection.query(
      `SELECT EXISTS (SELECT 1 FROM "call_uncounted") OR EXISTS (SELECT 1 FROM "call_day" WHERE "calls" IS NULL) AS "isBehind"`,
    )) as { isBehind: number }[];
    return row?.isBehind === 1;
  }

  /** How many calls are still to be counted: few, but after an upgrade. */
  async left(): Promise<number> {
    const [row] = (await this.connection.query(`SELECT count(*) AS "left" FROM "call_uncounted"`)) as {
      left: number;
    }[];
    return row?.left ?? 0;
  }
}
