import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, root, run } from './setup.mjs';

/**
 * Changes a room of core, or one file of it, in every small way, and tells which changes no spec notices:
 * `npm run mutate -- hours` or `npm run mutate -- hours/answersAt`. It takes minutes a file.
 */
const [what] = process.argv.slice(2);
const path = join(root, 'core', 'src', what ?? '');
if (!what || !(existsSync(path) || existsSync(`${path}.ts`))) {
  console.error('Say which room or file of core: npm run mutate -- hours');
  process.exit(1);
}
install();
build();
rmSync(join(root, '.stryker-tmp'), { recursive: true, force: true });
run('npx', ['--no-install', 'stryker', 'run', 'stryker.config.mjs'], { LOCUTOR_MUTATE: what });
