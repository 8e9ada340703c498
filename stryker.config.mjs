import { existsSync } from 'node:fs';

const what = process.env.LOCUTOR_MUTATE ?? '';
const isFile = existsSync(`core/src/${what}.ts`);

/** Small changes to core, each with the specs that reach it; run by scripts/mutate.mjs. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'core/jest.config.mjs' },
  coverageAnalysis: 'perTest',
  mutate: isFile
    ? [`core/src/${what}.ts`]
    : [`core/src/${what}/**/*.ts`, '!core/src/**/*.spec.ts', '!core/src/**/index.ts', '!core/src/testing/**'],
  ignorePatterns: ['server', 'web/src', 'web/dist', 'e2e', 'demo', 'docs/screenshots', '.locutor', 'data', 'reports'],
  tempDirName: '.stryker-tmp',
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: 'reports/mutation.json' },
  clearTextReporter: { allowColor: false, allowEmojis: false, logTests: false, reportTests: false },
};
