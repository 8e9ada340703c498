import { join } from 'node:path';
import { chromium } from './chromium.mjs';
import { installRecogniser, installSox } from './debian.mjs';
import { build, install, root, run } from './setup.mjs';

install();
installSox();
installRecogniser();
const env = { CHROMIUM: chromium(), CI: '1' };
build();
run('npx', ['--no-install', 'tsc', '-b', 'core', 'server', 'demo', 'e2e', 'web']);
for (const each of ['core', 'server', 'demo', 'web']) {
  run('npx', ['--no-install', 'tsc', '-p', join(each, 'tsconfig.specs.json')]);
}
run('npx', ['--no-install', 'eslint', '.']);
run('npx', ['--no-install', 'prettier', '--check', '.', '--log-level', 'warn']);
// Two at a time: by itself Jest leaves one of two processors to nobody.
run('npx', ['--no-install', 'jest', '--maxWorkers=2']);
run('npx', ['--no-install', 'playwright', 'test', '--config', join(root, 'e2e', 'playwright.config.ts')], env);
