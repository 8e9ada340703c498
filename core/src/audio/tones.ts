import type { Key } from '../line';
import type { Pcm } from './pcm';

const rowsHz = [697, 770, 852, 941] as const;
const columnsHz = [1209, 1336, 1477] as const;
const pad: readonly (readonly Key[])[] = [
  ['1', '2', '3'],
  ['4', '5', '6'],
  ['7', '8', '9'],
  ['*', '0', '#'],
];

/** The two frequencies of a key's tone, in Hz (ITU-T Q.23). */
export function dtmfHz(key: Key): readonly [number, number] {
  const row = pad.findIndex((each) => each.includes(key));
  return [rowsHz[row] ?? 697, columnsHz[pad[row]?.indexOf(key) ?? 0] ?? 1209];
}

/** A key's tone. */
export function dtmfTone(key: Key, ms: number, rateHz: number): Pcm {
  return tone(dtmfHz(key), ms, rateHz, 0.2);
}

/** One ring as a North American caller hears it: 2 s of 440 and 480 Hz, then 4 s of silence. */
export function ringbackTone(rateHz: number): Pcm {
  const ring = tone([440, 480], 2000, rateHz, 0.08);
  const samples = new Float32Array(6 * rateHz);
  samples.set(ring.samples);
  return { samples, rateHz };
}

/** The tone after which a message is spoken. */
export function beep(rateHz: number): Pcm {
  return tone([1000], 400, rateHz, 0.25);
}

function tone(frequenciesHz: readonly number[], ms: number, rateHz: number, amplitude: number): Pcm {
  const count = Math.round((ms / 1000) * rateHz);
  const edge = Math.round(0.005 * rateHz);
  const samples = Float32Array.from({ length: count }, (_, index) => {
    const fade = Math.min(1, index / edge, (count - index) / edge);
    const sum = frequenciesHz.reduce((all, hz) => all + Math.sin((2 * Math.PI * hz * index) / rateHz), 0);
    return amplitude * fade * sum;
  });
  return { samples, rateHz };
}
