import type { HoldMusicId } from '../line';
import type { Pcm } from './pcm';

/** A struck or plucked tone: how strong its overtones are, how fast it fades, and how long it may ring. */
interface Tone {
  readonly overtones: readonly number[];
  readonly fadePerSecond: number;
  readonly ringsForMs: number;
  readonly loudness: number;
}

/** Chords as notes above the lowest, in half tones; each lasts a bar, in which its notes follow the figure. */
interface Piece {
  readonly lowestHz: number;
  readonly noteMs: number;
  readonly bars: readonly (readonly number[])[];
  /** Which note of the chord comes when; null is a rest. */
  readonly figure: readonly (number | null)[];
  readonly tone: Tone;
  /** A low note on these steps of the figure, an octave under the chord's first. */
  readonly bassAt: readonly number[];
}

const pluck: Tone = { overtones: [1, 0.45, 0.2], fadePerSecond: 3.2, ringsForMs: 1200, loudness: 0.09 };
const bell: Tone = { overtones: [1, 0, 0.35, 0, 0.12], fadePerSecond: 1.7, ringsForMs: 2400, loudness: 0.075 };
const wood: Tone = { overtones: [1, 0.1, 0, 0.25], fadePerSecond: 6, ringsForMs: 700, loudness: 0.11 };
const bass: Tone = { overtones: [1, 0.7, 0.3, 0.1], fadePerSecond: 3, ringsForMs: 1000, loudness: 0.08 };

/** Composed for this program; no rights of others are involved. */
const pieces: Readonly<Record<HoldMusicId, Piece>> = {
  harbor: {
    lowestHz: 110,
    noteMs: 300,
    bars: [
      [3, 10, 15, 19],
      [0, 7, 15, 19],
      [8, 15, 20, 24],
      [10, 17, 22, 26],
      [3, 10, 15, 22],
      [7, 15, 19, 22],
      [8, 12, 20, 24],
      [10, 14, 17, 26],
    ],
    figure: [0, 2, 1, 3, 2, 1, 3, 2],
    tone: pluck,
    bassAt: [],
  },
  lantern: {
    lowestHz: 196,
    noteMs: 380,
    bars: [
      [0, 7, 12, 16],
      [9, 12, 16, 21],
      [5, 9, 12, 17],
      [7, 11, 14, 19],
      [4, 7, 12, 16],
      [9, 12, 16, 24],
      [2, 9, 14, 17],
      [7, 11, 17, 19],
    ],
    figure: [0, 3, 2, 1, 2, 3],
    tone: bell,
    bassAt: [0],
  },
  ferry: {
    lowestHz: 220,
    noteMs: 230,
    bars: [
      [0, 4, 7, 12],
      [0, 4, 9, 12],
      [5, 9, 12, 17],
      [7, 11, 14, 19],
      [4, 7, 11, 16],
      [9, 12, 16, 21],
      [5, 9, 14, 17],
      [7, 11, 14, 17],
    ],
    figure: [0, null, 2, 1, 3, null, 2, 1],
    tone: wood,
    bassAt: [0, 4],
  },
};

/** A piece of hold music of 15 to 20 s that begins again without a seam. */
export function holdMusic(id: HoldMusicId, rateHz: number): Pcm {
  const { lowestHz, noteMs, bars, figure, tone, bassAt } = pieces[id];
  const noteLength = Math.round((noteMs / 1000) * rateHz);
  const samples = new Float32Array(noteLength * figure.length * bars.length);
  bars.forEach((chord, bar) => {
    figure.forEach((index, step) => {
      const at = (bar * figure.length + step) * noteLength;
      const hzOf = (note: number): number => lowestHz * 2 ** (note / 12);
      if (index !== null) strike(samples, at, hzOf(chord[index] ?? 0), tone, rateHz);
      if (bassAt.includes(step)) strike(samples, at, hzOf(chord[0] ?? 0) / 2, bass, rateHz);
    });
  });
  return { samples, rateHz };
}

/** Adds a tone; what rings past the end rings at the beginning. */
function strike(samples: Float32Array, from: number, hz: number, tone: Tone, rateHz: number): void {
  const length = Math.round((tone.ringsForMs / 1000) * rateHz);
  for (let at = 0; at < length; at += 1) {
    const seconds = at / rateHz;
    const loudness = Math.min(1, at / (0.004 * rateHz)) * Math.exp(-tone.fadePerSecond * seconds) * (1 - at / length);
    let wave = 0;
    tone.overtones.forEach((part, overtone) => {
      wave += part * Math.sin(2 * Math.PI * hz * (overtone + 1) * seconds);
    });
    const index = (from + at) % samples.length;
    samples[index] = (samples[index] ?? 0) + tone.loudness * loudness * wave;
  }
}
