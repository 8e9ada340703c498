import { phoneRateHz, resample, writeMuLawWav } from '@locutor/core/audio';

/** Turns samples of any rate into a WAV file as the telephone carries it. */
self.onmessage = ({ data }: MessageEvent<{ samples: Float32Array; rateHz: number }>): void => {
  const wav = writeMuLawWav(resample(data, phoneRateHz));
  self.postMessage(wav, { transfer: [wav.buffer as ArrayBuffer] });
};
