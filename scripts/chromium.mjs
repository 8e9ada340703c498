import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './setup.mjs';

const places = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Where Chromium is; on Debian it is installed when it is missing. */
export function chromium() {
  const found = [process.env.CHROMIUM, ...places].find((place) => place && existsSync(place));
  if (found) return found;
  console.log('Installing Chromium for the tests.');
  const isRoot = process.getuid?.() === 0;
  const apt = (...args) => (isRoot ? run('apt-get', args) : run('sudo', ['apt-get', ...args]));
  if (spawnSync('apt-get', ['--version']).status !== 0) {
    console.error('Chromium is missing. Install it and set CHROMIUM to its path.');
    process.exit(1);
  }
  apt('update', '-q');
  apt('install', '-y', '-q', '--no-install-recommends', 'chromium');
  return places[0];
}
