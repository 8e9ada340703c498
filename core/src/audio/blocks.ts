import { joinSamples, type Pcm } from './pcm';
import { resample } from './resample';

/** A sound as it comes, ten seconds at a time, so that a long one need not be held several times over. */
export type Blocks = Iterable<Float32Array>;

const blockSeconds = 10;
/** What a filter sees beside a block; whole seconds, so that samples of both rates meet there. */
const besideSeconds = 1;

/** @param seconds of each block: whole, and at least what a filter sees beside it, that is one */
export function* blocksOf({ samples, rateHz }: Pcm, seconds = blockSeconds): Generator<Float32Array> {
  const size = seconds * rateHz;
  for (let from = 0; from < samples.length; from += size) yield samples.subarray(from, from + size);
}

/** Blocks of whole seconds, the last one of any length, at another rate; the same as `resample` of the whole. Rates are whole numbers of Hz. */
export function* resampledBlocks(blocks: Blocks, fromHz: number, toHz: number): Generator<Float32Array> {
  const beside = besideSeconds * fromHz;
  let before = new Float32Array();
  let block: Float32Array | null = null;
  const made = (after: Float32Array): Float32Array => {
    const now = block ?? after;
    const near = joinSamples([before, now, after.subarray(0, beside)]);
    const from = Math.round((before.length * toHz) / fromHz);
    const length = Math.round((now.length * toHz) / fromHz);
    return resample({ samples: near, rateHz: fromHz }, toHz).samples.subarray(from, from + length);
  };
  for (const next of blocks) {
    if (block) {
      yield made(next);
      before = block.slice(-beside);
    }
    block = next;
  }
  if (block) yield made(new Float32Array());
}

/** The whole sound of so many samples. */
export function soundOf(blocks: Blocks, rateHz: number, length: number): Pcm {
  const samples = new Float32Array(length);
  let at = 0;
  for (const block of blocks) {
    samples.set(block.subarray(0, length - at), at);
    at += Math.min(block.length, length - at);
  }
  return { samples, rateHz };
}
