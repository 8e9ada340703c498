import { check, command, program } from './steps.mjs';

/** Where tools keep what they found, so that an unchanged file is not read again. */
const cache = (name) => `node_modules/.cache/${name}`;

export const specProjects = ['core', 'server', 'demo', 'web'].map((room) => `${room}/tsconfig.specs.json`);

/** What is checked without running anything; each is one step. */
export const checks = [
  {
    name: 'Types of the web, e2e and the specs',
    after: ['Build'],
    run: (output) => check(program(output, 'tsc', ['-b', 'e2e', 'web', ...specProjects])),
  },
  {
    name: 'ESLint',
    after: ['Packages'],
    run: (output) =>
      check(
        program(output, 'eslint', [
          '.',
          '--cache',
          '--cache-strategy',
          'content',
          '--cache-location',
          cache('eslint/'),
        ]),
      ),
  },
  {
    name: 'Prettier',
    after: ['Packages'],
    run: (output) =>
      check(
        program(output, 'prettier', [
          ...['--check', '.', '--log-level', 'warn'],
          ...['--cache', '--cache-strategy', 'content', '--cache-location', cache('prettier.json')],
        ]),
      ),
  },
  {
    name: 'Unused exports and files',
    after: ['Build'],
    run: (output) => check(program(output, 'knip', ['--no-config-hints'])),
  },
  {
    name: 'Licences',
    after: ['Packages'],
    run: (output) => check(command(output, process.execPath, ['scripts/licences.mjs', '--check'])),
  },
  {
    name: 'Import circles',
    after: ['Packages'],
    run: (output) =>
      check(
        program(output, 'depcruise', [
          ...['core/src', 'server/src', 'web/src', 'demo/src', 'e2e', 'scripts'],
          ...['--config', '.dependency-cruiser.cjs'],
        ]),
      ),
  },
];
