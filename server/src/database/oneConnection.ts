import { setTimeout } from 'node:timers/promises';
import { BetterSqlite3QueryRunner } from 'typeorm/driver/better-sqlite3/BetterSqlite3QueryRunner';
import type { BetterSqlite3Driver } from 'typeorm/driver/better-sqlite3/BetterSqlite3Driver';
import { breath } from '../clock/breath';
import { storageTroubleOf } from '../storage/storageTrouble';
import { WorkStopped } from '../workers';

/** How long after each other a statement is tried while another program has the database locked, and for how long at most. */
const tryAgainMs = [5, 10, 20, 50, 100] as const;
const mostWaitMs = 4000;

/**
 * The one connection to the database, shared by all who ask at the same time, one after the other. A transaction has it for
 * itself until it is over: nothing that others save meanwhile is undone with it, or answered as saved before it is.
 */
export class OneConnection {
  readonly statements = new Map<string, unknown>();
  private holder: object | null = null;
  /** How often the holder has entered and not left yet: several statements of one may be under way. */
  private holds = 0;
  private readonly waiting: { readonly asker: object; readonly enter: () => void }[] = [];

  /** Comes when the asker has the connection; who has it already has it still. */
  async enter(asker: object): Promise<void> {
    if (this.holder !== null && this.holder !== asker) {
      return new Promise<void>((enter) => this.waiting.push({ asker, enter }));
    }
    this.holder = asker;
    this.holds += 1;
  }

  /** Once for each time it was entered; the next who waits has it then. */
  leave(): void {
    this.holds -= 1;
    if (this.holds > 0) return;
    const next = this.waiting.shift();
    this.holder = next?.asker ?? null;
    this.holds = next ? 1 : 0;
    next?.enter();
  }
}

/**
 * Runs statements on the one connection, as a runner does on a connection of its own from a pool. While another program has
 * the database locked it tries again, a little later each time, and nothing else of the server stands still for it. Between many
 * statements voices and keys of calls come in.
 */
export class SharingRunner extends BetterSqlite3QueryRunner {
  /** Whether a transaction of this runner's has the connection until it is over. */
  private isHolding = false;

  constructor(
    driver: BetterSqlite3Driver,
    private readonly turns: OneConnection,
  ) {
    super(driver);
    // What is prepared once serves every runner.
    Object.assign(this, { stmtCache: turns.statements });
  }

  override async query(
    text: string,
    parameters?: unknown[],
    isStructured?: boolean,
  ): ReturnType<BetterSqlite3QueryRunner['query']> {
    // Who is going to write says so at once: it could not any more after another program wrote meanwhile.
    const query = text === 'BEGIN TRANSACTION' ? 'BEGIN IMMEDIATE TRANSACTION' : text;
    for (let waitedMs = 0, tries = 0; ; tries += 1) {
      await this.turns.enter(this);
      try {
        this.mustGoOn(text);
        const answer = await super.query(query, parameters, isStructured);
        await breath();
        return answer;
      } catch (error) {
        if (isClosed(error)) throw new WorkStopped();
        if (storageTroubleOf(error) !== 'locked' || waitedMs >= mostWaitMs) throw error;
      } finally {
        this.leave();
      }
      const pauseMs = tryAgainMs[Math.min(tries, tryAgainMs.length - 1)] ?? 0;
      await setTimeout(pauseMs);
      waitedMs += pauseMs;
    }
  }

  /** A transaction that was begun and neither kept nor undone is undone, and others go on. */
  override release(): Promise<void> {
    const { databaseConnection } = this.driver;
    if (this.isHolding) {
      if (databaseConnection.open && databaseConnection.inTransaction) databaseConnection.exec('ROLLBACK');
      this.isHolding = false;
      this.turns.leave();
    }
    return super.release();
  }

  /** After a statement: a transaction that it began keeps the connection, one that it ended gives it up. */
  private leave(): void {
    const isIn = this.driver.databaseConnection.inTransaction;
    const wasHolding = this.isHolding;
    this.isHolding = isIn;
    if (!isIn && wasHolding) this.turns.leave();
    if (!isIn || wasHolding) this.turns.leave();
  }

  /** SQLite undoes a transaction by itself when the disk is full: what would follow in it must not be kept alone. */
  private mustGoOn(text: string): void {
    const isOver = this.isTransactionActive && !this.driver.databaseConnection.inTransaction;
    if (isOver && !/^(BEGIN|ROLLBACK)\b/.test(text)) throw new Error('The transaction was undone by the database');
  }
}

/** Whether the database was closed meanwhile, as when the server stops while it still works for somebody who hung up. */
function isClosed(error: unknown): boolean {
  return error instanceof Error && error.message.includes('The database connection is not open');
}
