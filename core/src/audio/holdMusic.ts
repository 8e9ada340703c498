import type { Pcm } from './pcm';

/** Chords as notes above A2, in half tones; each lasts a bar. */
const bars: readonly (readonly number[])[] = [
  [3, 10, 15, 19],
  [0, 7, 15, 19],
  [8, 15, 20, 24],
  [10, 17, 22, 26],
  [3, 10, 15, 22],
  [7, 15, 19, 22],
  [8, 12, 20, 24],
  [10, 14, 17, 26],
];
/** In which order the notes of a chord are plucked, two to a beat. */
const figure = [0, 2, 1, 3, 2, 1, 3, 2] as const;
const noteMs = 300;
const ringsForMs = 1200;
const lowestHz = 110;

/** A calm piece of plucked chords, about 19 s long, that begins again without a seam. Composed for this program. */
export function holdMusic(rateHz: number): Pcm {
  const notes = bars.flatMap((chord) => figure.map((index) => chord[index] ?? 0));
  const noteLength = Math.round((noteMs / 1000) * rateHz);
  const samples = new Float32Array(noteLength * notes.length);
  notes.forEach((note, index) => pluck(samples, index * noteLength, lowestHz * 2 ** (note / 12), rateHz));
  return { samples, rateHz };
}

/** Adds a plucked string; what rings past the end rings at the beginning. */
function pluck(samples: Float32Array, from: number, hz: number, rateHz: number): void {
  const length = Math.round((ringsForMs / 1000) * rateHz);
  for (let at = 0; at < length; at += 1) {
    const seconds = at / rateHz;
    const loudness = Math.min(1, at / (0.004 * rateHz)) * Math.exp(-3.2 * seconds) * (1 - at / length);
    const wave = [1, 0.45, 0.2].reduce(
      (sum, part, overtone) => sum + part * Math.sin(2 * Math.PI * hz * (overtone + 1) * seconds),
      0,
    );
    const index = (from + at) % samples.length;
    samples[index] = (samples[index] ?? 0) + 0.09 * loudness * wave;
  }
}
