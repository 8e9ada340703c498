import { spawn } from 'node:child_process';
import { isAbsolute, join } from 'node:path';
import { readWav } from '@locutor/core/audio';
import { giveWay } from '../giveWay';
import { forPhone } from '../speech/forPhone';
import type { Spoken } from '../speech/voice';

giveWay();

export interface OwnVoiceTask {
  /** The voice's folder, in which its program runs. */
  readonly folder: string;
  readonly command: readonly [string, ...string[]];
  readonly text: string;
  readonly pace: number;
  readonly pitch: number;
}

/** How long a program may speak a sentence, in ms, and how much it may write, in bytes. */
const limits = { longestMs: 20_000, mostBytes: 20_000_000 } as const;

/** Has a program speak one sentence: UTF-8 text comes in, a WAV file goes out. */
export default async function speak({ folder, command, text, pace, pitch }: OwnVoiceTask): Promise<Spoken> {
  const [program, ...args] = command.map((word) =>
    word.replaceAll('{pace}', String(pace)).replaceAll('{pitch}', String(pitch)),
  );
  const wav = readWav(await written(folder, program ?? '', args, text));
  if (!wav.ok) throw new Error('What it wrote is no WAV file.');
  if (wav.value.samples.length === 0) throw new Error('It wrote a WAV file without sound.');
  return forPhone(wav.value);
}

/** What a program writes when it is given a text. It has nothing of the server's surroundings but where programs are. */
function written(folder: string, program: string, args: readonly string[], text: string): Promise<Uint8Array> {
  const path = program.includes('/') && !isAbsolute(program) ? join(folder, program) : program;
  return new Promise((resolve, reject) => {
    const env = { PATH: process.env.PATH, HOME: folder, LANG: 'C.UTF-8' };
    const child = spawn(path, args, {
      cwd: folder,
      env,
      stdio: 'pipe',
      timeout: limits.longestMs,
      killSignal: 'SIGKILL',
    });
    const pieces: Buffer[] = [];
    let bytes = 0;
    let complaint = '';
    const fail = (says: string): void => {
      child.kill('SIGKILL');
      reject(new Error(says));
    };
    child.on('error', ({ code, message }: NodeJS.ErrnoException) =>
      fail(code === 'ENOENT' ? `Its program ${program} is not there.` : `Its program cannot be started: ${message}.`),
    );
    child.stdout.on('data', (piece: Buffer) => {
      bytes += piece.length;
      if (bytes > limits.mostBytes) fail('It wrote more sound than a sentence can have.');
      else pieces.push(piece);
    });
    child.stderr.on('data', (piece: Buffer) => {
      complaint = (complaint + piece.toString('utf8')).slice(0, 300);
    });
    child.on('close', (code, signal) => {
      if (code === 0) return resolve(new Uint8Array(Buffer.concat(pieces)));
      const said = complaint.trim() === '' ? '' : ` It said: ${complaint.trim()}`;
      reject(
        new Error(
          signal === 'SIGKILL'
            ? `Its program took longer than ${limits.longestMs / 1000} s.`
            : `Its program ended with ${code ?? signal}.${said}`,
        ),
      );
    });
    // A program that ends without reading must not end the server.
    child.stdin.on('error', () => undefined);
    child.stdin.end(`${text}\n`);
  });
}
