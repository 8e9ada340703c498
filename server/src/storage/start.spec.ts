import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { startServer, type RunningServer } from '../app';

let dataDir: string;
let running: RunningServer | undefined;
beforeEach(() => {
  dataDir = mkdtempSync(join(tmpdir(), 'locutor-spec-'));
});
afterEach(async () => {
  await running?.stop();
  running = undefined;
  rmSync(dataDir, { recursive: true, force: true });
});

const start = (folder = dataDir, port = 0) => startServer({ dataDir: folder, webDir: null, port });
const databasePath = () => join(dataDir, 'locutor.sqlite');

/** A folder in which a server was, and is not any more. */
async function usedFolder(): Promise<void> {
  const before = await start();
  await before.stop();
}

describe('a data folder that another server has', () => {
  it('is refused with who has it, and taken once that has stopped', async () => {
    running = await start();
    await expect(start()).rejects.toThrow(
      new RegExp(`^${dataDir} is in use by another Locutor \\(process ${process.pid} on .+, since .+ UTC\\): stop`),
    );
    await running.stop();
    running = await start();
  });

  it('is taken over when that was killed', async () => {
    await usedFolder();
    const lock = JSON.stringify(join(dataDir, 'in-use.lock'));
    const program = `const db = new (require('better-sqlite3'))(${lock}); db.exec('BEGIN EXCLUSIVE'); console.log('has it'); setInterval(() => db, 1000);`;
    const other = spawn(process.execPath, ['-e', program], { cwd: __dirname, stdio: ['ignore', 'pipe', 'inherit'] });
    await once(other.stdout, 'data');
    await expect(start()).rejects.toThrow('is in use by another Locutor: stop that one');
    other.kill('SIGKILL');
    await once(other, 'exit');
    running = await start();
  });

  it('is for its owner only, and so is the database', async () => {
    running = await start();
    expect(statSync(dataDir).mode & 0o077).toBe(0);
    for (const each of ['', '-wal', '-shm']) expect(statSync(`${databasePath()}${each}`).mode & 0o077).toBe(0);
  });
});

describe('a server that cannot start says in one sentence why, where, and what to do', () => {
  it('when the database is none', async () => {
    writeFileSync(databasePath(), 'Dear diary, '.repeat(1000));
    await expect(start()).rejects.toThrow(`The database in ${dataDir} is damaged: stop Locutor, put a copy`);
  });

  it('when the database is damaged somewhere', async () => {
    await usedFolder();
    const bytes = readFileSync(databasePath());
    bytes.fill(0x5a, 8192, bytes.length - 8192);
    writeFileSync(databasePath(), bytes);
    await expect(start()).rejects.toThrow(`The database in ${dataDir} is damaged`);
  });

  it('when the data is of a newer release, which it leaves as it is', async () => {
    await usedFolder();
    const database = new Database(databasePath());
    database.exec("INSERT INTO migrations (timestamp, name) VALUES (1900000000000, 'Holograms1900000000000')");
    database.close();
    const before = readFileSync(databasePath());
    await expect(start()).rejects.toThrow(
      `The data in ${dataDir} is of a newer release of Locutor: start that release`,
    );
    expect(readFileSync(databasePath()).equals(before)).toBe(true);
  });

  it('when another program has the database locked', async () => {
    await usedFolder();
    const other = new Database(databasePath());
    other.pragma('locking_mode = EXCLUSIVE');
    other.exec('BEGIN EXCLUSIVE');
    await expect(start()).rejects.toThrow(`The database in ${dataDir} is locked by another program`);
    other.close();
    running = await start();
  });

  it('when the folder is a file', async () => {
    const folder = join(dataDir, 'notes.txt');
    writeFileSync(folder, 'Not a folder');
    await expect(start(folder)).rejects.toThrow(`${folder} is not a folder: choose another one with LOCUTOR_DATA.`);
  });

  it('when its port is in use; the folder is free again then', async () => {
    const other = createServer().listen(0, '127.0.0.1');
    await once(other, 'listening');
    const { port } = other.address() as AddressInfo;
    await expect(start(dataDir, port)).rejects.toThrow(`Port ${port} is in use by another program: choose another`);
    other.close();
    running = await start();
  });
});
