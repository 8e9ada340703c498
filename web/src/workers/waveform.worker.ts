import { waveformOf, type Pcm } from '@locutor/core/audio';

/** Draws a sound: its lowest and highest sample in each of so many columns. */
self.onmessage = ({ data }: MessageEvent<{ pcm: Pcm; columns: number }>): void => {
  self.postMessage(waveformOf(data.pcm, data.columns));
};
