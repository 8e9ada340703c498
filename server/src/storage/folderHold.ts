import { chmodSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { CannotStart, storageTroubleOf } from './storageTrouble';

interface Holder {
  readonly pid: number;
  readonly host: string;
  /** In ms since 1970. */
  readonly since: number;
}

/**
 * Holds a data folder for one server. The lock is the system's own, on a file of the folder, as SQLite takes it: it is gone
 * with the process that had it, however that ended. Beside it a note says who holds it.
 */
export class FolderHold {
  private constructor(
    private readonly lock: Database.Database,
    private readonly note: string,
  ) {}

  /** Makes the folder, if need be for its owner only. @throws CannotStart when another server holds it. */
  static take(folder: string): FolderHold {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    chmodSync(folder, 0o700);
    const note = join(folder, 'in-use.json');
    const lock = new Database(join(folder, 'in-use.lock'), { timeout: 0 });
    try {
      lock.exec('BEGIN EXCLUSIVE');
    } catch (error) {
      lock.close();
      if (storageTroubleOf(error) !== 'locked') throw error;
      throw new CannotStart(
        `${folder} is in use by another Locutor${holderIn(note)}: stop that one, or choose another folder with LOCUTOR_DATA.`,
      );
    }
    const holder: Holder = { pid: process.pid, host: hostname(), since: Date.now() };
    writeFileSync(note, JSON.stringify(holder), { mode: 0o600 });
    return new FolderHold(lock, note);
  }

  release(): void {
    if (!this.lock.open) return;
    rmSync(this.note, { force: true });
    this.lock.close();
  }
}

/** Who the note names; nothing where it cannot be read. */
function holderIn(note: string): string {
  try {
    const { pid, host, since } = JSON.parse(readFileSync(note, 'utf8')) as Holder;
    return ` (process ${pid} on ${host}, since ${new Date(since).toISOString().slice(0, 16).replace('T', ' ')} UTC)`;
  } catch {
    return '';
  }
}
