export { joinPcm, lengthMs, levelDb, peakOf, phoneRateHz, trimSilence, withLevel, type Pcm } from './pcm';
export { decodeMuLaw, decodeMuLawSample, encodeMuLaw, encodeMuLawSample } from './g711';
export { holdMusic } from './holdMusic';
export { resample } from './resample';
export { readWav, writeMuLawWav, writeWav, type WavProblem } from './wav';
export { beep, dtmfHz, dtmfTone, ringbackTone } from './tones';
