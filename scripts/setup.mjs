import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const webDir = join(root, 'web', 'dist');
export const marks = join(root, '.locutor');

/** Runs a command in the project's folder; ends this process when it fails. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  if (error) console.error(`${command}: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

/** Installs the locked dependencies and compiles the database driver, unless they are there already. */
export function install() {
  if (!packages.areThere()) {
    console.log('Installing what Locutor needs. The first time this can take a few minutes.');
    run('npm', packages.install);
    packages.mark();
  }
  if (!driver.isThere()) run('npm', driver.compile);
}

const installed = join(root, 'node_modules', '.locutor-installed');

/** The locked dependencies. No package runs a script of its own; the one that has to be compiled is compiled below. */
export const packages = {
  areThere: () => existsSync(installed) && readFileSync(installed, 'utf8') === lockHash(),
  // Not `npm ci`: it refuses a lock that leaves out optional packages for machines other than the one it was made on.
  install: ['install', '--no-save', '--no-audit', '--no-fund', '--ignore-scripts'],
  mark: () => writeFileSync(installed, lockHash()),
};

/** The database driver, compiled for this machine and this Node. */
export const driver = {
  isThere: () =>
    spawnSync(process.execPath, ['-e', "require('better-sqlite3')(':memory:')"], { cwd: root }).status === 0,
  compile: ['rebuild', 'better-sqlite3'],
};

/** Builds core, server, demo and web unless nothing changed since. */
export function build() {
  if (built.isThere()) return;
  console.log('Building Locutor.');
  run('npx', built.types);
  run('npm', built.web);
  built.mark();
}

const builtMark = join(marks, 'built');

/** What the application runs from. */
export const built = {
  isThere: () => existsSync(webDir) && isMarked(builtMark, sourcesHash(['core', 'server', 'web', 'demo'])),
  types: ['--no-install', 'tsc', '-b', 'core', 'server', 'demo'],
  web: ['run', 'build', '--workspace', 'web', '--silent'],
  mark: () => mark(builtMark, sourcesHash(['core', 'server', 'web', 'demo'])),
};

const demoFolder = join(marks, 'demo-data');
const demoMark = join(marks, 'demo-data-of');
/** Its call log ends today: the next day it is made anew. */
const demoHash = () => `${sourcesHash(['core', 'server', 'demo'])} ${new Date().toISOString().slice(0, 10)}`;

/** The demo business, made once and kept until what it is made from changes. It is to be copied, not used. */
export const demoData = {
  folder: demoFolder,
  isThere: () => existsSync(demoFolder) && isMarked(demoMark, demoHash()),
  make: (folder) => [join(root, 'demo', 'dist', 'main.js'), folder],
  /** Where it is made; only when it is whole does it take its place. */
  part: `${demoFolder}.part`,
  mark() {
    rmSync(demoFolder, { recursive: true, force: true });
    renameSync(demoData.part, demoFolder);
    mark(demoMark, demoHash());
  },
};

/** Makes the demo business where it is not kept, and tells where it is. */
export function makeDemoData() {
  build();
  if (demoData.isThere()) return demoFolder;
  rmSync(demoData.part, { recursive: true, force: true });
  run(process.execPath, demoData.make(demoData.part));
  demoData.mark();
  return demoFolder;
}

const isMarked = (path, hash) => existsSync(path) && readFileSync(path, 'utf8') === hash;

function mark(path, hash) {
  mkdirSync(marks, { recursive: true });
  writeFileSync(path, hash);
}

const lockHash = () => hashOf([join(root, 'package-lock.json')]);

/** Of all that is built from; specs are not. */
function sourcesHash(rooms) {
  const sources = rooms.flatMap((name) => filesOf(join(root, name))).filter((path) => !/\.spec\.tsx?$/.test(path));
  return hashOf([...sources, join(root, 'tsconfig.base.json'), join(root, 'package-lock.json')]);
}

function filesOf(folder) {
  return readdirSync(folder, { withFileTypes: true })
    .filter(({ name }) => name !== 'dist' && name !== 'node_modules' && !name.endsWith('.tsbuildinfo'))
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesOf(path) : [path];
    });
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths.sort()) if (statSync(path).isFile()) hash.update(path).update(readFileSync(path));
  return hash.digest('hex');
}
