import type { Blocks, NoiseReducer } from '@locutor/core/audio';

/** What of RNNoise is used here; its package has no types. */
interface Rnnoise {
  readonly ready: Promise<unknown>;
  readonly HEAPF32: Float32Array;
  _malloc(bytes: number): number;
  _free(place: number): void;
  _rnnoise_create(): number;
  _rnnoise_destroy(state: number): void;
  _rnnoise_process_frame(state: number, to: number, from: number): number;
}

const modelRateHz = 48_000;
/** The model takes frames of 10 ms. */
const frameSamples = 480;
const int16 = 32_768;
let loading: Promise<Rnnoise> | undefined;

/** Noise reduction by a small neural network, RNNoise, which works at 48 kHz. */
export async function noiseReducer(): Promise<NoiseReducer> {
  loading ??= load();
  const model = await loading;
  return { rateHz: modelRateHz, reduce: (blocks) => reduced(model, blocks) };
}

async function load(): Promise<Rnnoise> {
  const { default: create } = (await import('@jitsi/rnnoise-wasm/dist/rnnoise-sync.js' as string)) as {
    default: () => Rnnoise;
  };
  const model = create();
  await model.ready;
  return model;
}

/** The model thinks in 16-bit samples and answers one frame late: the end of each block comes with the next. */
function* reduced(model: Rnnoise, blocks: Blocks): Generator<Float32Array> {
  const state = model._rnnoise_create();
  const place = model._malloc(4 * frameSamples);
  const answerTo = (samples: Float32Array): Float32Array => {
    const frame = model.HEAPF32.subarray(place / 4, place / 4 + frameSamples);
    frame.fill(0);
    frame.set(samples.map((sample) => sample * int16));
    model._rnnoise_process_frame(state, place, place);
    return frame.map((sample) => sample / int16);
  };
  try {
    let made: Float32Array | null = null;
    for (const block of blocks) {
      const next: Float32Array = new Float32Array(block.length);
      for (let at = 0; at < block.length; at += frameSamples) {
        const answer = answerTo(block.subarray(at, at + frameSamples));
        if (at >= frameSamples) next.set(answer, at - frameSamples);
        else if (made) {
          setEnd(made, answer);
          yield made;
        }
      }
      made = next;
    }
    if (!made) return;
    setEnd(made, answerTo(new Float32Array()));
    yield made;
  } finally {
    model._free(place);
    model._rnnoise_destroy(state);
  }
}

/** The last frame of a block, which may be a short one. */
function setEnd(block: Float32Array, answer: Float32Array): void {
  const at = Math.floor(Math.max(0, block.length - 1) / frameSamples) * frameSamples;
  block.set(answer.subarray(0, block.length - at), at);
}
