import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './setup.mjs';

/** Installs Debian packages; ends this process with `orElse` where there is no Debian. */
export function installDebian(packages, orElse) {
  if (spawnSync('apt-get', ['--version']).status !== 0) {
    console.error(orElse);
    process.exit(1);
  }
  const isRoot = process.getuid?.() === 0;
  const apt = (...args) => (isRoot ? run('apt-get', args) : run('sudo', ['apt-get', ...args]));
  apt('update', '-q');
  apt('install', '-y', '-q', '--no-install-recommends', ...packages);
}

/** The reference that sound is measured against. */
export function installSox() {
  if (spawnSync('sox', ['--version']).status === 0) return;
  console.log('Installing sox, against which sound is measured.');
  installDebian(['sox'], 'sox is missing. Install it: sound is measured against it.');
}

/** The offline recogniser that listens to recordings. Locutor works without it; the tests want it. */
export function installRecogniser() {
  if (existsSync('/usr/bin/pocketsphinx_continuous') && existsSync('/usr/share/pocketsphinx/model/en-us/en-us')) return;
  console.log('Installing pocketsphinx, which listens to recordings.');
  installDebian(['pocketsphinx', 'pocketsphinx-en-us'], 'pocketsphinx and its English model are missing.');
}
