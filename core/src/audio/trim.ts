import type { Pcm } from './pcm';

const windowMs = 10;
/** What stays of the silence before and after the words, in ms. */
const breath = { startMs: 60, endMs: 140 } as const;
/** Speech is louder than this, and than the noise by `aboveNoiseDb`. */
const leastSpeechDb = -50;
const aboveNoiseDb = 8;
/** How far under its loudest parts speech still is speech, in dB. */
const speechRangeDb = 38;

/** A sound without the silence at its ends, and how much was taken off. A click in the silence is not taken for speech. */
export function trimEnds(
  pcm: Pcm,
  margin: { readonly startMs: number; readonly endMs: number } = breath,
): { readonly pcm: Pcm; readonly startMs: number; readonly endMs: number } {
  const { samples, rateHz } = pcm;
  const size = Math.max(1, Math.round((windowMs / 1000) * rateHz));
  const levels = levelsOf(samples, size);
  const isLoud = loudWindows(levels);
  const first = isLoud.indexOf(true);
  if (first < 0) return { pcm, startMs: 0, endMs: 0 };
  const last = isLoud.lastIndexOf(true);
  const from = Math.max(0, first * size - Math.round((margin.startMs / 1000) * rateHz));
  const to = Math.min(samples.length, (last + 1) * size + Math.round((margin.endMs / 1000) * rateHz));
  const msOf = (count: number): number => Math.round((count / rateHz) * 1000);
  return { pcm: { samples: samples.slice(from, to), rateHz }, startMs: msOf(from), endMs: msOf(samples.length - to) };
}

function levelsOf(samples: Float32Array, size: number): readonly number[] {
  return Array.from({ length: Math.ceil(samples.length / size) }, (_, window) => {
    let sum = 0;
    const end = Math.min(samples.length, (window + 1) * size);
    for (let index = window * size; index < end; index += 1) sum += (samples[index] as number) ** 2;
    return 10 * Math.log10(sum / size);
  });
}

/** Which windows belong to speech: loud ones of which at least three stand together. */
function loudWindows(levels: readonly number[]): readonly boolean[] {
  const inOrder = [...levels].sort((one, other) => one - other);
  const noise = inOrder[Math.floor(inOrder.length * 0.05)] ?? -Infinity;
  const loudest = inOrder[Math.floor(inOrder.length * 0.95)] ?? -Infinity;
  const threshold = Math.min(Math.max(leastSpeechDb, noise + aboveNoiseDb, loudest - speechRangeDb), loudest - 6);
  const loud = levels.map((level) => level > threshold);
  return loud.map((is, at) => is && [-2, -1, 0].some((shift) => [0, 1, 2].every((step) => loud[at + shift + step])));
}
