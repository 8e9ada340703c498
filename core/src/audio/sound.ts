import type { Pcm } from './pcm';

/** Sound as a file holds it: one or more channels of the same length, samples from -1 to 1. */
export interface Sound {
  readonly channels: readonly Float32Array[];
  readonly rateHz: number;
}

/** All channels as one, each as loud as any other. */
export function mixDown({ channels, rateHz }: Sound): Pcm {
  const [first = new Float32Array(0), ...others] = channels;
  if (others.length === 0) return { samples: first, rateHz };
  const samples = new Float32Array(first.length);
  const part = 1 / channels.length;
  for (const channel of channels) {
    for (let index = 0; index < samples.length; index += 1) {
      samples[index] = (samples[index] as number) + (channel[index] as number) * part;
    }
  }
  return { samples, rateHz };
}

/** Samples that stand frame by frame, channel after channel, as the channels they are. */
export function channelsOf(interleaved: Float32Array, count: number): readonly Float32Array[] {
  if (count === 1) return [interleaved];
  const frames = Math.floor(interleaved.length / count);
  return Array.from({ length: count }, (_, channel) => {
    const samples = new Float32Array(frames);
    for (let frame = 0; frame < frames; frame += 1) samples[frame] = interleaved[frame * count + channel] as number;
    return samples;
  });
}
