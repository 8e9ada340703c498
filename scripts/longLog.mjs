import { createRequire } from 'node:module';
import { join } from 'node:path';
import { root } from './setup.mjs';

const require = createRequire(join(root, 'server', 'package.json'));

/** A log as long as some years of a busy office: the demo's calls over and over. */
export function fillLog(dataDir, callsInLog) {
  const Database = require('better-sqlite3');
  const database = new Database(join(dataDir, 'locutor.sqlite'));
  const columns = database
    .prepare('PRAGMA table_info("call")')
    .all()
    .map(({ name }) => `"${name}"`);
  const others = columns.filter((name) => name !== '"id"').join(', ');
  const { count } = database.prepare('SELECT count(*) AS count FROM "call"').get();
  for (let copy = 1; copy * count < callsInLog; copy += 1) {
    database.exec(
      `INSERT INTO "call" ("id", ${others}) SELECT 'call:b${copy}x' || row_number() OVER (), ${others} FROM "call" LIMIT ${count}`,
    );
  }
  database.close();
}
