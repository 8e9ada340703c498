import js from '@eslint/js';
import globals from 'globals';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What a room of core may not import: nothing looks up, and nobody knows proof but those outside. */
const closedTo = {
  id: ['*'],
  result: ['*'],
  text: ['*'],
  directory: ['hours', 'line', 'speech', 'audio', 'call', 'proof'],
  hours: ['directory', 'line', 'speech', 'audio', 'call', 'proof'],
  line: ['speech', 'audio', 'call', 'proof'],
  speech: ['audio', 'call', 'proof'],
  audio: ['hours', 'directory', 'speech', 'call', 'proof'],
  formats: ['audio', 'call', 'proof', 'paths'],
  call: ['audio', 'proof', 'formats', 'paths', 'exchange', 'traffic'],
  exchange: ['audio', 'proof', 'formats', 'paths', 'traffic'],
  paths: ['audio', 'proof'],
  proof: ['formats', 'exchange', 'traffic'],
  traffic: ['audio', 'proof'],
  rehearsals: ['audio', 'proof', 'formats'],
  firstCalls: ['audio', 'proof', 'formats', 'exchange'],
};

const roomRules = Object.entries(closedTo).map(([room, closed]) => ({
  files: [`core/src/${room}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: closed[0] === '*' ? '^\\.\\./' : `^(\\.\\./)+(${closed.join('|')})(/|$)`,
            message: `core/${room} must not know this room (docs/architecture.md).`,
          },
          { regex: '^@locutor/|^node:|^react', message: 'Core imports nothing of ours and no platform.' },
        ],
      },
    ],
  },
}));

const outside = (files, regex, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ regex, message }] }] },
});

const timers = ['setTimeout', 'setInterval'];
const askTheClock = 'Ask the server’s Clock, so that specs can let time pass.';

/** What makes specs slow, or true only now and then. */
const honestSpecs = [
  {
    selector: 'CallExpression[callee.property.name="waitForTimeout"]',
    message: 'Wait for the thing itself, not for some time.',
  },
  {
    selector: 'NewExpression[callee.name="Promise"] CallExpression[callee.name="setTimeout"]',
    message: 'Wait for the thing itself, or let the clock pass.',
  },
  {
    selector: 'MemberExpression[property.name="only"][object.name=/^(it|test|describe)$/]',
    message: 'The others are to run too.',
  },
  { selector: 'CallExpression[callee.name=/^(fit|fdescribe)$/]', message: 'The others are to run too.' },
];

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '.locutor/**',
      'data/**',
      '**/test-results/**',
      '.stryker-tmp/**',
      'reports/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/unified-signatures': 'off',
    },
  },
  {
    // Types that Nest reads at run time must be imported as values.
    files: ['server/**/*.ts'],
    rules: {
      '@typescript-eslint/consistent-type-imports': 'off',
      // A constructor that only passes on tells Nest what to hand in.
      '@typescript-eslint/no-useless-constructor': 'off',
    },
  },
  {
    files: ['server/**/*.ts', 'scripts/*.mjs', 'e2e/**/*.ts', '**/*.mjs', '*.cjs'],
    languageOptions: { globals: globals.node },
  },
  { files: ['scripts/*.mjs', 'e2e/**/*.ts'], languageOptions: { globals: { ...globals.node, ...globals.browser } } },
  { files: ['web/**'], ...hooks.configs.flat.recommended },
  { files: ['web/public/*.js'], languageOptions: { globals: globals.audioWorklet } },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      'no-restricted-globals': ['error', 'setTimeout', 'setInterval', 'performance', 'window', 'document', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes into core as a parameter.' },
        { object: 'Math', property: 'random', message: 'Chance comes into core as a parameter.' },
      ],
    },
  },
  {
    // What nobody waits for and nobody catches ends the server: it is handed to `unawaited`.
    files: ['server/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'server/src/testing/**'],
    languageOptions: { parserOptions: { project: './server/tsconfig.json', tsconfigRootDir: import.meta.dirname } },
    rules: { '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }] },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'server/src/testing/**', 'server/src/clock/**', 'server/src/stopping.ts'],
    rules: { 'no-restricted-globals': ['error', ...timers.map((name) => ({ name, message: askTheClock }))] },
  },
  {
    files: ['**/*.spec.ts', '**/*.spec.tsx', 'e2e/**/*.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...honestSpecs],
      // What is missing lets the spec fail there, which is what it is for.
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  ...roomRules,
  outside(['web/src/**'], '^@locutor/(server|demo)|^@nestjs|^typeorm', 'The web application knows core only.'),
  outside(['server/src/**'], '^@locutor/(web|demo)|^react', 'The server knows core only.'),
);
