import { convolve, windowedSinc } from './fir';
import { decodeG711, encodeG711, type G711Law } from './g711';
import { phoneRateHz, type Pcm } from './pcm';
import { resample } from './resample';

/** What a telephone line lets through, in Hz (ITU-T G.712 speaks of 300 to 3400). */
const phoneBandHz = { low: 300, high: 3400 } as const;
const halfTaps = 96;
const band = Float64Array.from({ length: 2 * halfTaps + 1 }, (_, tap) => {
  const pass = (hz: number): number => windowedSinc(tap - halfTaps, hz / (phoneRateHz / 2), halfTaps + 1);
  return pass(phoneBandHz.high) - pass(phoneBandHz.low);
});

/** How a sound is heard at the other end of a telephone line: 300 to 3400 Hz, coded as G.711 and back. */
export function asOnPhone(pcm: Pcm, law: G711Law = 'mu'): Pcm {
  const { samples, rateHz } = resample(pcm, phoneRateHz);
  return { samples: decodeG711(encodeG711(convolve(samples, band), law), law), rateHz };
}
