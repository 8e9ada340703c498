import { blocksOf, resampledBlocks, soundOf, type Blocks } from './blocks';
import { applyCutting, type Cutting } from './cutting';
import { integratedLufs } from './loudness';
import { limitPeaks } from './limit';
import { isNoisy, measure, type Measures } from './measures';
import { phoneRateHz, withGain, type Pcm } from './pcm';
import { resample } from './resample';
import { trimEnds } from './trim';

/** What is done to a recording to make it good; the recording itself is kept as it came. */
export interface Recipe extends Cutting {
  /** Takes noise away where it is heard between the words. */
  readonly lessNoise: boolean;
  /** Takes silence away at both ends, but for a breath. */
  readonly trim: boolean;
  /** Brings it to the loudness of every other greeting. */
  readonly sameLoudness: boolean;
  /** Lets it begin and end softly. */
  readonly fades: boolean;
}

export const wholeRecipe: Recipe = {
  cuts: [],
  pauses: [],
  lessNoise: true,
  trim: true,
  sameLoudness: true,
  fades: true,
};

/** How loud everything on the line is: it carries, and leaves room for the peaks of speech. */
export const lineLoudness = { lufs: -20, truePeakDb: -2 } as const;

/** Takes noise out of a sound of one channel as it comes, at a rate of its own: each block becomes one as long. */
export interface NoiseReducer {
  readonly rateHz: number;
  reduce(blocks: Blocks): Blocks;
}

export type PolishStage = 'measuring' | 'cutting' | 'lessNoise' | 'resampling' | 'loudness';

/** What became of a recording, and what was done to it. */
export interface Polished {
  /** At the telephone's 8 kHz. */
  readonly pcm: Pcm;
  readonly before: Measures;
  readonly after: Measures;
  /** Taken off at the beginning and the end, in ms. */
  readonly trimmedMs: readonly [number, number];
  /** How much louder it was made, in dB. */
  readonly gainDb: number;
  /** Whether noise was taken away; it is not where there is none to hear, or where that would not help. */
  readonly noiseTaken: boolean;
}

const fadeMs = 12;
/** So much of the sound as it was stays in, so that the voice is not hollow. */
const dryPart = 0.15;
const leastHelpDb = 4;
const mostSpeechLossDb = 2;

/** A recording as the telephone would carry it, freed of noise where that helps. */
export interface Heard {
  readonly pcm: Pcm;
  /** What it was before, measured as the telephone would carry it. */
  readonly before: Measures;
  readonly noiseTaken: boolean;
}

/**
 * Makes a recording ready for the line: band-limited to 8 kHz, freed of noise where that helps, cut, trimmed, brought
 * to the line's loudness with its true peak limited, and faded at both ends. `tell` hears what is being done.
 */
export function polish(
  recording: Pcm,
  recipe: Recipe,
  reduceNoise: NoiseReducer | null = null,
  tell: (stage: PolishStage) => void = () => undefined,
): Polished {
  return finish(hear(recording, recipe.lessNoise ? reduceNoise : null, tell), recipe, tell);
}

/** The first half of `polish`, after which the recording itself, which may be large, is not needed any more. */
export function hear(
  recording: Pcm,
  reduceNoise: NoiseReducer | null,
  tell: (stage: PolishStage) => void = () => undefined,
): Heard {
  tell('resampling');
  const phone = resample(recording, phoneRateHz);
  tell('measuring');
  const before = measure(phone, recording);
  const quiet = reduceNoise && withLessNoise(recording, before, reduceNoise, tell);
  return { pcm: quiet ?? phone, before, noiseTaken: quiet !== null };
}

/** The second half of `polish`. */
export function finish(
  { pcm: heard, before, noiseTaken }: Heard,
  recipe: Recipe,
  tell: (stage: PolishStage) => void = () => undefined,
): Polished {
  tell('cutting');
  const cut = applyCutting(heard, recipe);
  const trimmed = recipe.trim ? trimEnds(cut) : { pcm: cut, startMs: 0, endMs: 0 };
  tell('loudness');
  const level = recipe.sameLoudness ? atLineLoudness(trimmed.pcm) : { pcm: trimmed.pcm, gainDb: 0 };
  const pcm = recipe.fades ? faded(level.pcm) : level.pcm;
  const { startMs, endMs } = trimmed;
  const { gainDb } = level;
  return { pcm, before, after: measure(pcm), trimmedMs: [startMs, endMs], gainDb, noiseTaken };
}

/** At the loudness of the line; speech with high peaks has them turned down and the rest made up for. */
export function atLineLoudness(pcm: Pcm): { readonly pcm: Pcm; readonly gainDb: number } {
  let gainDb = 0;
  let made = pcm;
  let lufs = lufsOf(pcm);
  for (let turn = 0; turn < 3 && Number.isFinite(lufs) && Math.abs(lineLoudness.lufs - lufs) > 0.1; turn += 1) {
    gainDb += lineLoudness.lufs - lufs;
    const louder = withGain(pcm, gainDb);
    made = limitPeaks(louder, lineLoudness.truePeakDb);
    lufs = made === louder ? lineLoudness.lufs : lufsOf(made);
  }
  return { pcm: made, gainDb };
}

function lufsOf({ samples, rateHz }: Pcm): number {
  return integratedLufs([samples], rateHz);
}

/** As the telephone carries it and freed of noise, if there was some, it got less, and speech stays as loud; else null. */
function withLessNoise(
  recording: Pcm,
  before: Measures,
  reduceNoise: NoiseReducer,
  tell: (stage: PolishStage) => void,
): Pcm | null {
  if (!isNoisy(before)) return null;
  tell('lessNoise');
  const { rateHz } = reduceNoise;
  const blocks =
    rateHz === recording.rateHz ? blocksOf(recording) : resampledBlocks(blocksOf(recording), recording.rateHz, rateHz);
  const phone = resampledBlocks(withSomeDry(blocks, reduceNoise), rateHz, phoneRateHz);
  const made = soundOf(phone, phoneRateHz, Math.round((recording.samples.length * phoneRateHz) / recording.rateHz));
  const after = measure(made);
  const helps = before.noiseDb - after.noiseDb >= leastHelpDb && before.speechDb - after.speechDb <= mostSpeechLossDb;
  return helps ? made : null;
}

function* withSomeDry(blocks: Blocks, { reduce }: NoiseReducer): Generator<Float32Array> {
  const dry: Float32Array[] = [];
  const noted = function* (): Generator<Float32Array> {
    for (const block of blocks) {
      dry.push(block);
      yield block;
    }
  };
  for (const quiet of reduce(noted())) {
    const was = dry.shift();
    yield quiet.map((sample, index) => (1 - dryPart) * sample + dryPart * (was?.[index] ?? 0));
  }
}

function faded({ samples, rateHz }: Pcm): Pcm {
  const edge = Math.min(Math.round((fadeMs / 1000) * rateHz), samples.length >> 1);
  const gainAt = (index: number): number => Math.min(1, (index + 1) / edge, (samples.length - index) / edge);
  return { rateHz, samples: edge === 0 ? samples : samples.map((sample, index) => sample * gainAt(index)) };
}
