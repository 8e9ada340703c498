import { createRequire } from 'node:module';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

/** In a process of its own, so that its memory can be told: `benchPolish.mjs from.wav to.wav`. */
const audio = createRequire(join(root, 'e2e', 'package.json'))('@locutor/core/audio');
const [from, to] = process.argv.slice(2);
const times = [];
for (let turn = 0; turn < 5; turn += 1) {
  const began = performance.now();
  const sound = audio.readWavSound(new Uint8Array(readFileSync(from)), { wholeOnly: true });
  const { pcm } = audio.polish(audio.mixDown(sound.value), audio.wholeRecipe);
  writeFileSync(to, audio.writeMuLawWav(pcm));
  times.push(performance.now() - began);
}
const maxRssMb = Math.round(process.resourceUsage().maxRSS / 1024);
process.stdout.write(JSON.stringify({ ms: Math.min(...times), maxRssMb }));
