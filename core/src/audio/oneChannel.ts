import type { Pcm } from './pcm';
import { mixDown, type Sound } from './sound';

/** How several channels become one: all of them together, or one alone where together they would cancel each other out. */
export type Mixing = { readonly type: 'all' } | { readonly type: 'only'; readonly channel: number };

/** Together they are so much quieter than each alone only when they stand against each other. */
const cancelledPart = 0.1;

/** How these channels, or what is there of them, are best made one. */
export function mixingOf({ channels, rateHz }: Sound): Mixing {
  if (channels.length < 2) return { type: 'all' };
  const energies = channels.map(energyOf);
  const loudest = energies.indexOf(Math.max(...energies));
  const mean = energies.reduce((sum, each) => sum + each, 0) / channels.length;
  // What only some channels have is quieter together, but not gone: each is a part of the whole.
  const expected = mean / channels.length;
  const mixed = energyOf(mixDown({ channels, rateHz }).samples);
  return mixed < expected * cancelledPart ? { type: 'only', channel: loudest } : { type: 'all' };
}

export function mixed(sound: Sound, mixing: Mixing): Pcm {
  if (mixing.type === 'all') return mixDown(sound);
  return { samples: sound.channels[mixing.channel] ?? new Float32Array(), rateHz: sound.rateHz };
}

function energyOf(samples: Float32Array): number {
  let sum = 0;
  for (const sample of samples) sum += sample * sample;
  return sum;
}

/**
 * Brings a sound around zero and within full scale, in place, since it may be large: a constant offset, which would be made louder with the voice, is taken away,
 * and what a float file holds beyond full scale is brought within, so that what is kept is what is heard.
 */
export function centre({ samples }: Pcm): void {
  let sum = 0;
  for (const sample of samples) sum += sample;
  const offset = samples.length > 0 ? sum / samples.length : 0;
  let peak = 0;
  for (const sample of samples) peak = Math.max(peak, Math.abs(sample - offset));
  const scale = peak > 1 ? 1 / peak : 1;
  if (Math.abs(offset) < 1e-4 && scale === 1) return;
  for (let index = 0; index < samples.length; index += 1) {
    samples[index] = ((samples[index] as number) - offset) * scale;
  }
}
