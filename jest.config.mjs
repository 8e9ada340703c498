const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', decorators: true, tsx },
      transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
      target: 'es2023',
    },
    module: { type: 'commonjs' },
  },
];
const transform = { '^.+\\.[tj]s$': swc(false), '^.+\\.tsx$': swc(true) };

/** Packages that ship as ES modules only, which Jest has to translate. */
const transformIgnorePatterns = ['/node_modules/(?!(temporal-polyfill|temporal-utils|@bjorn3)/)'];

const setUp = (path) => new URL(path, import.meta.url).pathname;
const cases = setUp('core/src/testing/setUp.ts');

const project = (name, more = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/src/**/*.spec.tsx'],
  moduleNameMapper: { '^@locutor/core/(.*)$': '<rootDir>/../core/src/$1' },
  transform,
  transformIgnorePatterns,
  setupFiles: [cases],
  ...more,
});

export const core = project('core');

export default {
  testTimeout: 30_000,
  projects: [
    core,
    project('server'),
    project('web', { setupFiles: [cases, setUp('web/src/testing/setUpDom.ts')] }),
    project('demo'),
  ],
};
