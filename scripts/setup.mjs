import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const webDir = join(root, 'web', 'dist');
const marks = join(root, '.locutor');

/** Runs a command in the project's folder; ends this process when it fails. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  if (error) console.error(`${command}: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

/** Installs the locked dependencies unless they are there already. */
export function install() {
  const lock = hashOf([join(root, 'package-lock.json')]);
  const mark = join(root, 'node_modules', '.locutor-installed');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  console.log('Installing what Locutor needs. The first time this can take a few minutes.');
  // Not `npm ci`: it refuses a lock that leaves out optional packages for machines other than the one it was made on.
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund']);
  writeFileSync(mark, lock);
}

/** Builds core, server, demo and web unless nothing changed since. */
export function build() {
  const sources = ['core', 'server', 'web', 'demo'].flatMap((name) => filesOf(join(root, name)));
  const now = hashOf([...sources, join(root, 'tsconfig.base.json'), join(root, 'package-lock.json')]);
  const mark = join(marks, 'built');
  if (existsSync(mark) && existsSync(webDir) && readFileSync(mark, 'utf8') === now) return;
  console.log('Building Locutor.');
  run('npx', ['--no-install', 'tsc', '-b', 'core', 'server', 'demo']);
  run('npm', ['run', 'build', '--workspace', 'web', '--silent']);
  mkdirSync(marks, { recursive: true });
  writeFileSync(mark, now);
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
