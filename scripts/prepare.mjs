import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { missingDebian, aptCommands } from './debian.mjs';
import { built, demoData, driver, packages } from './setup.mjs';
import { command, StepFailed } from './steps.mjs';

/** What a fresh machine lacks, got side by side: the compiler works while packages of Debian come in. */
export const prepare = [
  {
    name: 'Packages',
    run: async (output) => {
      if (packages.areThere()) return;
      await command(output, 'npm', packages.install);
      packages.mark();
    },
  },
  {
    name: 'Programs of Debian',
    run: async (output) => {
      const missing = missingDebian();
      if (missing.length === 0) return;
      if (spawnSync('apt-get', ['--version']).status !== 0) {
        throw new StepFailed(`Missing, and there is no apt-get to install them with: ${missing.join(', ')}`);
      }
      for (const [name, ...args] of aptCommands(missing)) await command(output, name, args);
    },
  },
  {
    name: 'Database driver',
    after: ['Packages'],
    run: async (output) => {
      if (!driver.isThere()) await command(output, 'npm', driver.compile);
    },
  },
  {
    name: 'Build',
    after: ['Packages'],
    run: async (output) => {
      if (built.isThere()) return;
      await command(output, 'npx', built.types);
      await command(output, 'npm', built.web);
      built.mark();
    },
  },
  {
    name: 'Demo business',
    after: ['Build', 'Database driver'],
    run: async (output) => {
      if (demoData.isThere()) return;
      rmSync(demoData.part, { recursive: true, force: true });
      await command(output, process.execPath, demoData.make(demoData.part));
      demoData.mark();
    },
  },
];
