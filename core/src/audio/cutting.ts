import type { Pcm } from './pcm';

/** A stretch of a sound, in ms from its beginning. */
export interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
}

/** Silence put in at a place of the sound as it was recorded. */
export interface Pause {
  readonly atMs: number;
  readonly ms: number;
}

export interface Cutting {
  /** What is left out. */
  readonly cuts: readonly Stretch[];
  readonly pauses: readonly Pause[];
}

export const longestPauseMs = 10_000;
export const mostCuts = 100;
/** Ends that meet at a cut are faded for so long, so that it does not click. */
const seamMs = 4;

/** A sound without what is cut out of it and with pauses put in; all places are those of the sound as it was. */
export function applyCutting({ samples, rateHz }: Pcm, { cuts, pauses }: Cutting): Pcm {
  if (cuts.length === 0 && pauses.length === 0) return { samples, rateHz };
  const sampleAt = (ms: number): number => Math.round(Math.min(Math.max(0, (ms / 1000) * rateHz), samples.length));
  const pieces: Float32Array[] = [];
  const waiting = [...pauses].sort((one, other) => one.atMs - other.atMs);
  const keep = (from: number, to: number): void => {
    let at = from;
    while (waiting.length > 0 && sampleAt(waiting[0]?.atMs ?? 0) <= to) {
      const pause = waiting.shift() as Pause;
      const place = Math.max(at, sampleAt(pause.atMs));
      pieces.push(samples.slice(at, place), new Float32Array(Math.round((pause.ms / 1000) * rateHz)));
      at = place;
    }
    pieces.push(samples.slice(at, to));
  };
  let at = 0;
  for (const { fromMs, toMs } of joined(cuts)) {
    keep(at, sampleAt(fromMs));
    at = sampleAt(toMs);
  }
  keep(at, samples.length);
  return { samples: joinSeams(pieces, Math.round((seamMs / 1000) * rateHz)), rateHz };
}

/** Cuts in order, those that touch made one. */
function joined(cuts: readonly Stretch[]): readonly Stretch[] {
  const inOrder: Stretch[] = [];
  for (const cut of [...cuts].sort((one, other) => one.fromMs - other.fromMs)) {
    const last = inOrder.at(-1);
    if (cut.toMs <= cut.fromMs) continue;
    if (last && cut.fromMs <= last.toMs) {
      inOrder[inOrder.length - 1] = { fromMs: last.fromMs, toMs: Math.max(last.toMs, cut.toMs) };
    } else inOrder.push(cut);
  }
  return inOrder;
}

function joinSeams(pieces: readonly Float32Array[], seam: number): Float32Array {
  const heard = pieces.filter(({ length }) => length > 0);
  const whole = new Float32Array(heard.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  heard.forEach((piece, index) => {
    whole.set(piece, at);
    const end = at + piece.length;
    for (let step = 0; step < Math.min(seam, piece.length); step += 1) {
      const gain = step / seam;
      if (index > 0) whole[at + step] = (whole[at + step] as number) * gain;
      if (index < heard.length - 1) whole[end - 1 - step] = (whole[end - 1 - step] as number) * gain;
    }
    at = end;
  });
  return whole;
}
