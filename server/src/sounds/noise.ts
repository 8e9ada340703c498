import { resample, type NoiseReducer } from '@locutor/core/audio';

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
  return (pcm) => {
    const { samples } = resample(pcm, modelRateHz);
    return resample({ samples: reduced(model, samples), rateHz: modelRateHz }, pcm.rateHz);
  };
}

async function load(): Promise<Rnnoise> {
  const { default: create } = (await import('@jitsi/rnnoise-wasm/dist/rnnoise-sync.js' as string)) as {
    default: () => Rnnoise;
  };
  const model = create();
  await model.ready;
  return model;
}

/** The model thinks in 16-bit samples and answers one frame late. */
function reduced(model: Rnnoise, samples: Float32Array): Float32Array {
  const state = model._rnnoise_create();
  const place = model._malloc(4 * frameSamples);
  const out = new Float32Array(samples.length);
  for (let at = 0; at < samples.length + frameSamples; at += frameSamples) {
    const frame = model.HEAPF32.subarray(place / 4, place / 4 + frameSamples);
    frame.fill(0);
    frame.set(samples.subarray(at, at + frameSamples).map((sample) => sample * int16));
    model._rnnoise_process_frame(state, place, place);
    const back = at - frameSamples;
    if (back >= 0) out.set(frame.map((sample) => sample / int16).subarray(0, samples.length - back), back);
  }
  model._free(place);
  model._rnnoise_destroy(state);
  return out;
}
