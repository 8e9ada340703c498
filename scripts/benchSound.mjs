import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { best } from './best.mjs';
import { installDebian } from './debian.mjs';
import { root } from './setup.mjs';

/** A minute of stereo sound made ready for the telephone, against sox doing the same: mixed, resampled, trimmed, levelled, coded. */
export function benchSound(row) {
  installDebian('sox');
  const folder = mkdtempSync(join(tmpdir(), 'locutor-bench-'));
  const [wav, ours, theirs] = ['minute.wav', 'ours.wav', 'theirs.wav'].map((name) => join(folder, name));
  // Bursts like speech, with gaps between them.
  const voice = ['synth', '0.22', 'sawtooth', '180', 'synth', '0.22', 'sine', 'amod', '3', 'lowpass', '3000'];
  sox(['-n', '-r', '44100', '-c', '2', '-b', '16', wav, ...voice, 'gain', '-14', 'pad', '0', '0.13', 'repeat', '170']);
  const effects = ['remix', '-', 'rate', '-h', '8000', 'silence', '1', '0.1', '0.5%', 'gain', '-n', '-3', 'reverse'];
  const trimEnd = ['silence', '1', '0.1', '0.5%', 'fade', '0.01', 'reverse', 'fade', '0.01'];
  const soxMs = best(5, () => sox([wav, '-e', 'mu-law', theirs, ...effects, ...trimEnd]));
  const inside = JSON.parse(node([join(root, 'scripts', 'benchPolish.mjs'), wav, ours]));
  row(
    '60 s of stereo at 44.1 kHz to phone-ready',
    `${inside.ms.toFixed(0)} ms`,
    `${(inside.ms / soxMs).toFixed(1)} x sox (${soxMs.toFixed(0)} ms, its start included); aim: no more than 3 x`,
  );
  row('Peak memory of that, Node itself included', `${inside.maxRssMb} MB`);
  rmSync(folder, { recursive: true });
}

function sox(args) {
  const { status, stderr } = spawnSync('sox', ['-V1', ...args]);
  if (status !== 0) throw new Error(String(stderr));
}

function node(args) {
  const { status, stdout, stderr } = spawnSync(process.execPath, args);
  if (status !== 0) throw new Error(String(stderr));
  return String(stdout);
}
