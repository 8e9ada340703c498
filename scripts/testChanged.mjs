import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { specProjects } from './checks.mjs';
import { prepare } from './prepare.mjs';
import { jest, playwright } from './runners.mjs';
import { root } from './setup.mjs';
import { check, program, runSteps } from './steps.mjs';

/**
 * What the changes touch that are not committed, or are in the last commits: `npm run test:changed`, or
 * `npm run test:changed -- main~5` for all since another commit. It is no substitute for `npm test`.
 */
const since = process.argv[2] ?? 'HEAD~2';
const changed = changedSince(since);
const browserTests = browserTestsFor(changed);
console.log(`${changed.length} files changed since ${since}; browser tests: ${browserTests.join(', ') || 'none'}.`);

const read = changed.filter((path) => /\.(ts|tsx|mjs)$/.test(path));
const printed = changed.filter((path) => /\.(ts|tsx|mjs|cjs|json|md|css|html)$/.test(path));
const steps = [
  ...prepare,
  {
    name: 'Types',
    after: ['Build'],
    run: (output) => check(program(output, 'tsc', ['-b', 'e2e', 'web', ...specProjects])),
  },
  ...(read.length > 0
    ? [{ name: 'ESLint', after: ['Packages'], run: (output) => check(program(output, 'eslint', read)) }]
    : []),
  ...(printed.length > 0
    ? [
        {
          name: 'Prettier',
          after: ['Packages'],
          run: (output) =>
            check(program(output, 'prettier', ['--check', '--ignore-unknown', '--log-level', 'warn', ...printed])),
        },
      ]
    : []),
  jest([`--changedSince=${since}`, '--passWithNoTests']),
  ...(browserTests.length > 0 ? [playwright(browserTests)] : []),
];
process.exit((await runSteps(steps)) ? 0 : 1);

function changedSince(commit) {
  const git = (...args) => spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
  const known = git('diff', '--name-only', '--diff-filter=d', commit);
  return [...known, ...git('ls-files', '--others', '--exclude-standard')];
}

/** Browser tests that changed themselves, and those that go to a screen that did. */
function browserTestsFor(paths) {
  const folder = join(root, 'e2e', 'tests');
  const screens = paths.flatMap((path) => /^web\/src\/screens\/([^/]+)\//.exec(path)?.[1] ?? []).map(addressOf);
  return readdirSync(folder).filter((name) => {
    if (paths.includes(`e2e/tests/${name}`)) return true;
    const text = readFileSync(join(folder, name), 'utf8');
    return screens.some((screen) => text.includes(`}/${screen}`) || text.includes(`'/${screen}`));
  });
}

/** Where a screen is found: `onAir` at `/on-air`. */
function addressOf(screen) {
  return screen.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
}
