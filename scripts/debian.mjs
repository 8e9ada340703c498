import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './setup.mjs';

const isRoot = process.getuid?.() === 0;
const starts = (name) => spawnSync(name, ['--version']).status === 0;
/** The headless one first: it is Chromium without its windows, and a third quicker. */
const chromiumPlaces = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Programs of Debian that tests and benches want, and whether they are there. */
const programs = {
  'chromium-headless-shell': () => existsSync(process.env.CHROMIUM ?? chromiumPlaces[0]),
  /** The reference that sound is measured against. */
  sox: () => starts('sox'),
  /** The offline recogniser that listens to recordings. Locutor works without it; the tests want it. */
  pocketsphinx: () => existsSync('/usr/bin/pocketsphinx_continuous'),
  'pocketsphinx-en-us': () => existsSync('/usr/share/pocketsphinx/model/en-us/en-us'),
};

/** The browser that is there; undefined for none. */
export function chromiumPath() {
  return [process.env.CHROMIUM, ...chromiumPlaces].find((place) => place && existsSync(place));
}

export function missingDebian(wanted = Object.keys(programs)) {
  return wanted.filter((name) => !programs[name]());
}

/** How they are installed, as commands with their arguments. */
export function aptCommands(names) {
  const apt = isRoot ? ['apt-get'] : ['sudo', 'apt-get'];
  return [
    [...apt, 'update', '-q'],
    [...apt, 'install', '-y', '-q', '--no-install-recommends', ...names],
  ];
}

/** Installs what is missing of these; ends this process where there is no Debian. */
export function installDebian(...wanted) {
  const missing = missingDebian(wanted);
  if (missing.length === 0) return;
  if (!starts('apt-get')) {
    console.error(`Missing: ${missing.join(', ')}. Install it, or set CHROMIUM to the path of a browser.`);
    process.exit(1);
  }
  console.log(`Installing ${missing.join(', ')}.`);
  for (const [name, ...args] of aptCommands(missing)) run(name, args);
}

/** Where Chromium is; on Debian it is installed when it is missing. */
export function chromium() {
  installDebian('chromium-headless-shell');
  return chromiumPath();
}
