import { execFileSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeWav } from '@locutor/core/audio';
import { microphoneFile, root, scratch } from './places';

const rateHz = 48_000;

/** Makes the demo business and the tone that the pretended microphone hears. */
export default function globalSetup(): void {
  rmSync(scratch, { recursive: true, force: true });
  mkdirSync(scratch, { recursive: true });
  const samples = Float32Array.from(
    { length: rateHz * 4 },
    (_, index) => 0.4 * Math.sin((2 * Math.PI * 440 * index) / rateHz),
  );
  writeFileSync(microphoneFile, writeWav({ samples, rateHz }));
  execFileSync(process.execPath, [join(root, 'scripts', 'demoData.mjs')], { stdio: 'inherit' });
}
