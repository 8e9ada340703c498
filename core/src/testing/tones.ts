import { joinPcm, type Pcm } from '../audio';

/** Globals are looked up slowly under Jest, and these are needed for every sample. */
const { sin, cos } = Math;

export function sine(hz: number, rateHz: number, seconds = 1, amplitude = 0.5, phase = 0): Pcm {
  const samples = new Float32Array(Math.round(rateHz * seconds)).map(
    (_, index) => amplitude * sin((2 * Math.PI * hz * index) / rateHz + phase),
  );
  return { samples, rateHz };
}

export function silence(rateHz: number, seconds: number): Pcm {
  return { samples: new Float32Array(Math.round(rateHz * seconds)), rateHz };
}

/** Steady noise from a fixed seed. */
export function noise(rateHz: number, seconds: number, amplitude: number): Pcm {
  let seed = 12345;
  const next = (): number => ((seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 30 - 1) * amplitude;
  return { samples: new Float32Array(Math.round(rateHz * seconds)).map(next), rateHz };
}

/** Something with the shape of speech: bursts of a low tone with its overtones, and gaps between them. */
export function babble(rateHz: number, seconds: number, amplitude = 0.3): Pcm {
  const burst = [180, 360, 720, 1440].map((hz) => sine(hz, rateHz, 0.22, amplitude / 4));
  const voiced = { samples: (burst[0] as Pcm).samples.map((_, at) => sumAt(burst, at)), rateHz };
  const pieces = Array.from({ length: Math.ceil(seconds / 0.35) }, () => [voiced, silence(rateHz, 0.13)]).flat();
  return joinPcm(pieces, rateHz);
}

export function mixed(one: Pcm, other: Pcm): Pcm {
  return { ...one, samples: one.samples.map((sample, at) => sample + (other.samples[at] ?? 0)) };
}

function sumAt(sounds: readonly Pcm[], at: number): number {
  return sounds.reduce((sum, { samples }) => sum + (samples[at] ?? 0), 0);
}

/** The middle of a sound, clear of the edges of filters. */
export const middle = ({ samples, rateHz }: Pcm): Pcm => ({
  rateHz,
  samples: samples.slice(Math.round(rateHz / 10), -Math.round(rateHz / 10)),
});

/** How strong one frequency is in a sound, in dB (Goertzel). */
export function toneDb({ samples, rateHz }: Pcm, hz: number): number {
  let [real, imaginary] = [0, 0];
  samples.forEach((sample, index) => {
    real += sample * cos((2 * Math.PI * hz * index) / rateHz);
    imaginary += sample * sin((2 * Math.PI * hz * index) / rateHz);
  });
  return 20 * Math.log10((2 * Math.hypot(real, imaginary)) / samples.length);
}
