export type { Blocks } from './blocks';
export { joinPcm, joinSamples, lengthMs, levelDb, peakOf, phoneRateHz, withGain, type Pcm } from './pcm';
export {
  decodeALawSample,
  decodeG711,
  decodeMuLaw,
  decodeMuLawSample,
  encodeALawSample,
  encodeG711,
  encodeMuLaw,
  encodeMuLawSample,
  type G711Law,
} from './g711';
export { channelsOf, mixDown, type Sound } from './sound';
export { holdMusic } from './holdMusic';
export { resample } from './resample';
export { asOnPhone } from './phoneBand';
export { integratedLufs } from './loudness';
export { truePeakDb } from './truePeak';
export { limitPeaks } from './limit';
export { trimEnds } from './trim';
export { measure, silenceDb, soundFaults, type Measures, type SoundFault } from './measures';
export { applyCutting, longestPauseMs, mostCuts, type Cutting, type Pause, type Stretch } from './cutting';
export {
  atLineLoudness,
  lineLoudness,
  polish,
  wholeRecipe,
  finish,
  hear,
  type Heard,
  type NoiseReducer,
  type Polished,
  type PolishStage,
  type Recipe,
} from './polish';
export { waveformOf, type Waveform } from './waveform';
export { readWav, readWavSound, writeG711Wav, writeMuLawWav, writeWav } from './wav';
export { readAuSound, writeAu } from './au';
export { centre, mixed, mixingOf, type Mixing } from './oneChannel';
export { readAiffSound } from './aiff';
export { lookAtFile, looksLikeG711, type FileLook, type SoundFileKind } from './fileKind';
export { lookOutside } from './wholeness';
export { largestSoundBytes, longestAtMs, longestSoundMs, type SoundFileProblem } from './soundFileProblem';
export { beep, dtmfHz, dtmfTone, busyTone, ringbackTone } from './tones';
export { describeSoundFileProblem, polishStageWords, soundFaultWords } from './words/en';
