import { integratedLufs } from './loudness';
import { lengthMs, type Pcm } from './pcm';
import { trimEnds } from './trim';
import { truePeakDb } from './truePeak';

/** What can be said of a sound by measuring it. Levels of silence are those of `silenceDb`. */
export interface Measures {
  readonly lengthMs: number;
  /** Integrated loudness (ITU-R BS.1770-4). */
  readonly lufs: number;
  /** In dB relative to full scale, between samples too. */
  readonly truePeakDb: number;
  /** What goes on between the words: the level under which a tenth of the sound stays, in dB relative to full scale. */
  readonly noiseDb: number;
  /** The level that the loudest tenth goes over, in the same measure. */
  readonly speechDb: number;
  /** How often the wave was cut flat at the top of what could be recorded. */
  readonly clippedPlaces: number;
}

/** The level that silence is given, so that every level is a number. */
export const silenceDb = -120;

/** Measures a sound. `recording` is the sound it was made from, in which clipping still shows. */
export function measure(pcm: Pcm, recording: Pcm = pcm): Measures {
  const levels = windowLevels(pcm);
  return {
    lengthMs: lengthMs(pcm),
    lufs: Math.max(silenceDb, integratedLufs([pcm.samples], pcm.rateHz)),
    truePeakDb: Math.max(silenceDb, truePeakDb(pcm)),
    noiseDb: at(levels, 0.1),
    speechDb: at(levels, 0.9),
    clippedPlaces: clippedPlaces(recording.samples),
  };
}

const windowMs = 30;

/** Levels of short windows between the first word and the last, in dB, from the quietest. */
function windowLevels(pcm: Pcm): readonly number[] {
  const { samples, rateHz } = trimEnds(pcm).pcm;
  const size = Math.max(1, Math.round((windowMs / 1000) * rateHz));
  const levels: number[] = [];
  for (let from = 0; from + size <= samples.length; from += size) {
    let sum = 0;
    for (let index = from; index < from + size; index += 1) sum += (samples[index] as number) ** 2;
    levels.push(10 * Math.log10(sum / size));
  }
  return levels.sort((one, other) => one - other);
}

function at(sorted: readonly number[], part: number): number {
  return Math.max(silenceDb, sorted[Math.floor(part * (sorted.length - 1))] ?? silenceDb);
}

/** How near to the top, and to each other, samples of a flat top are, as parts of the highest. */
const flatWithin = 0.002;
/** How much lower the wave is just beside a flat top: a round one falls away slowly. */
const edgeDrop = 0.02;

/**
 * Where the wave was cut flat, at whatever level: at least three samples in a row stand at the very top or bottom of the
 * recording, and the ones beside them well below. A recording that was turned down afterwards shows it as well.
 */
function clippedPlaces(samples: Float32Array): number {
  let [top, bottom] = [0, 0];
  for (const sample of samples) {
    if (sample > top) top = sample;
    else if (sample < bottom) bottom = sample;
  }
  return flatTops(samples, top, 1) + flatTops(samples, -bottom, -1);
}

function flatTops(samples: Float32Array, top: number, sign: 1 | -1): number {
  // In what is nearly silent every step of the numbers looks like a top.
  if (top < 0.02) return 0;
  const isTop = (index: number): boolean => sign * (samples[index] as number) >= top * (1 - flatWithin);
  const isBelow = (index: number): boolean =>
    index >= 0 && index < samples.length && sign * (samples[index] as number) < top * (1 - edgeDrop);
  let places = 0;
  for (let from = 0; from < samples.length; from += 1) {
    if (!isTop(from)) continue;
    let to = from;
    while (to < samples.length && isTop(to)) to += 1;
    if (to - from >= 3 && isBelow(from - 1) && isBelow(to)) places += 1;
    from = to;
  }
  return places;
}

/** What a listener would find wrong with a recording. */
export type SoundFault = 'silent' | 'tooQuiet' | 'clipped' | 'noisy' | 'antiphase' | 'tooLong';

/** From here on a greeting is longer than callers listen, in ms. */
const longGreetingMs = 60_000;
const quietestLufs = -38;
/** How far speech must stand out of the noise, in dB; what goes on evenly, such as music, is no speech. */
const aboveNoiseDb = { least: 24, speech: 6 } as const;
const mostClippedPlaces = 3;

export function soundFaults(measures: Measures): readonly SoundFault[] {
  if (measures.lufs < -65) return ['silent'];
  return [
    ...(measures.lufs < quietestLufs ? ['tooQuiet' as const] : []),
    ...(measures.clippedPlaces > mostClippedPlaces ? ['clipped' as const] : []),
    ...(isNoisy(measures) ? ['noisy' as const] : []),
    ...(measures.lengthMs > longGreetingMs ? ['tooLong' as const] : []),
  ];
}

/** Whether noise is heard between the words. */
export function isNoisy({ noiseDb, speechDb }: Measures): boolean {
  const above = speechDb - noiseDb;
  return noiseDb > -62 && above > aboveNoiseDb.speech && above < aboveNoiseDb.least;
}
