import { chmodSync, closeSync, openSync, statSync } from 'node:fs';
import { DataSource, type DataSourceOptions } from 'typeorm';
import type { BetterSqlite3Driver } from 'typeorm/driver/better-sqlite3/BetterSqlite3Driver';
import { CannotStart, withStorage } from '../storage/storageTrouble';
import { dataSourceOptions } from './dataSource';
import { OneConnection, SharingRunner } from './oneConnection';

/** How long another program may have it locked as it is opened, in ms. */
const lockedMs = 2000;
/** Larger ones are not read through at each start, which would take seconds. */
const mostCheckedBytes = 512 * 1024 * 1024;

/**
 * Opens the database of a data folder, made or brought up to date if need be.
 * @throws CannotStart when it is damaged, locked, of a newer release, or the folder does not let it.
 */
export function openDatabase(folder: string): Promise<DataSource> {
  return withStorage(folder, async () => {
    const options = dataSourceOptions(folder);
    onlyForItsOwner(String(options.database));
    await mustBeReadable(folder, options);
    return shared(new DataSource(options)).initialize();
  });
}

function shared(database: DataSource): DataSource {
  const connection = new OneConnection();
  const driver = database.driver as BetterSqlite3Driver;
  driver.createQueryRunner = () => new SharingRunner(driver, connection);
  return database;
}

/** Looked at before anything is brought up to date: what a newer release wrote stays as it is. */
async function mustBeReadable(folder: string, options: DataSourceOptions): Promise<void> {
  const database = await new DataSource({
    ...options,
    migrationsRun: false,
    entities: [],
    timeout: lockedMs,
  } as DataSourceOptions).initialize();
  try {
    if (statSync(String(options.database)).size <= mostCheckedBytes) await mustBeWhole(database);
    const known = new Set(database.migrations.map((each) => each.name ?? each.constructor.name));
    const hasRun = await database.query("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'migrations'");
    const run = hasRun.length > 0 ? ((await database.query('SELECT name FROM migrations')) as { name: string }[]) : [];
    if (run.every(({ name }) => known.has(name))) return;
    throw new CannotStart(
      `The data in ${folder} is of a newer release of Locutor: start that release, or choose another folder with LOCUTOR_DATA.`,
    );
  } finally {
    await database.destroy();
  }
}

async function mustBeWhole(database: DataSource): Promise<void> {
  const [checked] = (await database.query('PRAGMA quick_check(1)')) as { quick_check: string }[];
  if (checked?.quick_check === 'ok') return;
  throw Object.assign(new Error(`The database is damaged: ${checked?.quick_check}`), { code: 'SQLITE_CORRUPT' });
}

/** Its log and index beside it get the rights of the file itself. */
function onlyForItsOwner(path: string): void {
  closeSync(openSync(path, 'a', 0o600));
  chmodSync(path, 0o600);
}
