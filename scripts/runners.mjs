import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumPath } from './debian.mjs';
import { marks, root } from './setup.mjs';
import { program, StepFailed } from './steps.mjs';

const ready = ['Build', 'Database driver', 'Programs of Debian', 'Demo business'];

/** The specs of core, server, demo and web. */
export const jest = (more = [], env = {}) => ({
  name: 'Jest',
  after: ready,
  alone: true,
  run: counted('jest', (output, report) =>
    // Two at a time at least: by itself Jest leaves one of two processors to nobody.
    program(output, 'jest', ['--maxWorkers=2', '--json', '--outputFile', report, ...more], env),
  ),
});

/** The real interface in a real browser. */
export const playwright = (more = [], env = {}) => ({
  name: 'Playwright',
  after: ready,
  alone: true,
  run: counted('playwright', (output, report) =>
    program(output, 'playwright', ['test', '--config', join('e2e', 'playwright.config.ts'), ...more], {
      CHROMIUM: chromiumPath(),
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      CI: '1',
      ...env,
    }),
  ),
});

/** Runs tests that write a report, and tells from it how many passed and failed. */
function counted(name, run) {
  const report = join(marks, `${name}-report.json`);
  return async (output) => {
    mkdirSync(marks, { recursive: true });
    rmSync(report, { force: true });
    try {
      await run(output, report);
    } catch (error) {
      throw new StepFailed(error.message, countsOf(name, report));
    }
    return countsOf(name, report);
  };
}

/** What ends before it writes a report has failed once at least. */
function countsOf(name, report) {
  try {
    const told = JSON.parse(readFileSync(report, 'utf8'));
    if (name === 'jest') {
      const failed = told.numFailedTests + told.numRuntimeErrorTestSuites;
      return { passed: told.numPassedTests, failed };
    }
    const { expected, unexpected, flaky } = told.stats;
    return { passed: expected, failed: unexpected + flaky + told.errors.length };
  } catch {
    console.error(`${name} wrote no report (${join(root, '.locutor')}).`);
    return { passed: 0, failed: 1 };
  }
}
