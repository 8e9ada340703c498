import { cpSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { serve } from './serve.mjs';
import { build, install, makeDemoData, marks } from './setup.mjs';

// The demo keeps what was changed in it; `npm run demo -- --fresh` makes it anew.
const data = join(marks, 'demo');
install();
build();
if (process.argv.includes('--fresh')) rmSync(data, { recursive: true, force: true });
if (!existsSync(data)) {
  console.log('Making the demo business, Larkspur Cove Boatyard.');
  const part = `${data}.part`;
  rmSync(part, { recursive: true, force: true });
  cpSync(makeDemoData(), part, { recursive: true });
  renameSync(part, data);
}
serve(data, '4141', { LOCUTOR_LOG: 'warn' });
