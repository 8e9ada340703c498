import type { Key } from '../line';
import { joinPcm, type Pcm } from './pcm';

const rowsHz = [697, 770, 852, 941] as const;
const columnsHz = [1209, 1336, 1477] as const;
const pad: readonly (readonly Key[])[] = [
  ['1', '2', '3'],
  ['4', '5', '6'],
  ['7', '8', '9'],
  ['*', '0', '#'],
];

/** The two frequencies of a key's tone, in Hz (ITU-T Q.23). */
export function dtmfHz(key: Key): readonly [number, number] {
  const row = pad.findIndex((each) => each.includes(key));
  return [rowsHz[row] ?? 697, columnsHz[pad[row]?.indexOf(key) ?? 0] ?? 1209];
}

/** A key's tone. */
export function dtmfTone(key: Key, ms: number, rateHz: number): Pcm {
  return tone(dtmfHz(key), ms, rateHz, 0.2);
}

/** A tone that comes and goes: its frequencies, and how long, in ms, it is heard and not heard by turns. */
interface Cadence {
  readonly hz: readonly number[];
  readonly turnsMs: readonly number[];
}

/** What ITU-T E.180 recommends, and most countries have. */
const usualRingback: Cadence = { hz: [425], turnsMs: [1000, 4000] };
const american: Cadence = { hz: [440, 480], turnsMs: [2000, 4000] };
const twice = [400, 200, 400, 2000] as const;

/** Ringback tones that are others (ITU-T E.180, supplement 2), by the country's code (ISO 3166-1). */
const ringbacks: Readonly<Record<string, Cadence>> = {
  US: american,
  CA: american,
  PR: american,
  GB: { hz: [400, 450], turnsMs: twice },
  IE: { hz: [400, 450], turnsMs: twice },
  NZ: { hz: [400, 450], turnsMs: twice },
  AU: { hz: [413, 438], turnsMs: twice },
  IN: { hz: [375, 425], turnsMs: twice },
  ZA: { hz: [383, 417], turnsMs: twice },
  SG: { hz: [401, 449], turnsMs: twice },
  HK: { hz: [440, 480], turnsMs: [400, 200, 400, 3000] },
  JP: { hz: [384, 416], turnsMs: [1000, 2000] },
  CN: { hz: [450], turnsMs: [1000, 4000] },
  FR: { hz: [440], turnsMs: [1500, 3500] },
  ES: { hz: [425], turnsMs: [1500, 3000] },
  AT: { hz: [420], turnsMs: [1000, 5000] },
  BE: { hz: [425], turnsMs: [1000, 3000] },
  PT: { hz: [425], turnsMs: [1000, 5000] },
  SE: { hz: [425], turnsMs: [1000, 5000] },
};

const evenly = (hz: readonly number[], ms: number): Cadence => ({ hz, turnsMs: [ms, ms] });
/** What ITU-T E.180 recommends, and many countries have. */
const usualBusy = evenly([425], 500);

/** Busy tones that are others (ITU-T E.180, supplement 2), by the country's code (ISO 3166-1). */
const busies: Readonly<Record<string, Cadence>> = {
  US: evenly([480, 620], 500),
  CA: evenly([480, 620], 500),
  PR: evenly([480, 620], 500),
  HK: evenly([480, 620], 500),
  KR: evenly([480, 620], 500),
  TW: evenly([480, 620], 500),
  GB: evenly([400], 375),
  AU: evenly([425], 375),
  NZ: evenly([400], 500),
  JP: evenly([400], 500),
  ZA: evenly([400], 500),
  IN: evenly([400], 750),
  SG: evenly([425], 750),
  CN: evenly([450], 350),
  DE: evenly([425], 480),
  AT: evenly([420], 400),
  FR: evenly([440], 500),
  ES: evenly([425], 200),
  BR: evenly([425], 250),
  MX: evenly([425], 250),
  SE: evenly([425], 250),
  DK: evenly([425], 250),
  FI: evenly([425], 300),
  GR: evenly([425], 300),
  HU: evenly([425], 300),
};

/** One turn of the tone that a caller hears while it rings, as in the line's country. */
export function ringbackTone(rateHz: number, country?: string): Pcm {
  return turnOf(ringbacks[country ?? ''] ?? usualRingback, rateHz);
}

/** One turn of the tone that says that a call did not get through or is over, as in the line's country. */
export function busyTone(rateHz: number, country?: string): Pcm {
  return turnOf(busies[country ?? ''] ?? usualBusy, rateHz);
}

function turnOf({ hz, turnsMs }: Cadence, rateHz: number): Pcm {
  const turns = turnsMs.map((ms, turn) =>
    turn % 2 === 0
      ? tone(hz, ms, rateHz, 0.16 / hz.length)
      : { samples: new Float32Array((ms / 1000) * rateHz), rateHz },
  );
  return joinPcm(turns, rateHz);
}

/** The tone after which a message is spoken: at the frequency that ITU-T E.180 gives recorders in every country. */
export function beep(rateHz: number): Pcm {
  return tone([1400], 400, rateHz, 0.25);
}

function tone(frequenciesHz: readonly number[], ms: number, rateHz: number, amplitude: number): Pcm {
  const count = Math.round((ms / 1000) * rateHz);
  const edge = Math.round(0.005 * rateHz);
  const samples = Float32Array.from({ length: count }, (_, index) => {
    const fade = Math.min(1, index / edge, (count - index) / edge);
    const sum = frequenciesHz.reduce((all, hz) => all + Math.sin((2 * Math.PI * hz * index) / rateHz), 0);
    return amplitude * fade * sum;
  });
  return { samples, rateHz };
}
