import { joinPcm, phoneRateHz, writeWav, type Pcm } from '@locutor/core/audio';
import type { Attendant, Line, TakeId, TakeSays, VoiceName } from '@locutor/core/line';
import { saysOfSheet, type SpokenFacts } from '@locutor/core/speech';
import type { Ask } from './api';
import { soundOf } from './sounds';

/** What the recordings of the demo are made from: a voice stands in for a colleague at a microphone. */
interface Recorded {
  readonly sheet: string;
  readonly voice: VoiceName;
  readonly fileName: string;
  readonly texts: readonly string[];
  /** What the recording said of its keys, where that is no longer so. */
  readonly before?: (says: TakeSays) => TakeSays;
}

const recorded: readonly Recorded[] = [
  {
    sheet: 'Where we are',
    voice: 'awb',
    fileName: 'Cormac, how to find us.wav',
    texts: [
      'We are at the foot of Cannery Road, on the east side of Larkspur Cove.',
      'From the water, keep the red bell to starboard and look for the blue crane.',
    ],
  },
  {
    sheet: 'Launch day',
    voice: 'rms',
    fileName: '',
    texts: [
      'Launching runs from the middle of April to the end of May, with the tide.',
      'To ask for a date, press 1.',
      'To join the waiting list, press 2.',
      'To go back, press 9.',
    ],
    before: (says) => ({
      ...says,
      options: says.options.map((option) =>
        option.key === '2' ? { key: '2', label: 'to join the waiting list' } : option,
      ),
    }),
  },
];

/** Records two sheets of the script; one of the recordings is out of step. */
export async function recordSheets(
  ask: Ask,
  url: string,
  line: Line,
  attendant: Attendant,
  facts: SpokenFacts,
): Promise<Attendant> {
  let now = attendant;
  for (const each of recorded) {
    const sheet = attendant.sheets.find(({ name }) => name === each.sheet);
    if (!sheet) throw new Error(`There is no sheet ${each.sheet} in the demo`);
    const says = saysOfSheet(sheet, { type: 'whole' }, attendant.voice, facts);
    const form = new FormData();
    form.set('place', `${line.id} ${sheet.id} whole`);
    form.set('source', each.fileName ? 'file' : 'microphone');
    form.set('fileName', each.fileName);
    form.set('text', each.texts.join(' '));
    form.set('says', JSON.stringify(each.before?.(says) ?? says));
    form.set('audio', new Blob([await roomRecording(ask, url, each)]), 'recording.wav');
    const take = await ask<{ id: TakeId }>('POST', '/api/takes', form);
    // Whoever recorded it heard it: it says what it said then.
    await ask('PATCH', `/api/takes/${take.id}`, { verdict: JSON.stringify({ type: 'right', by: 'manager' }) });
    const takes = { whole: { takeId: take.id, byVoice: false } };
    now = { ...now, sheets: now.sheets.map((other) => (other.id === sheet.id ? { ...other, takes } : other)) };
  }
  return now;
}

/** As somebody records it in an office: a moment before they begin and after they end, and a room that hums a little. */
async function roomRecording(ask: Ask, url: string, { voice, texts }: Recorded): Promise<Uint8Array<ArrayBuffer>> {
  const spoken = await ask<{ audioId: string }[]>('POST', '/api/speech', { voice, texts });
  const gap = (seconds: number): Pcm => ({ samples: new Float32Array(seconds * phoneRateHz), rateHz: phoneRateHz });
  const pieces: Pcm[] = [gap(1.2)];
  for (const { audioId } of spoken) pieces.push(await soundOf(url, audioId), gap(0.5));
  const voiceOnly = joinPcm([...pieces, gap(1.5)], phoneRateHz);
  let seed = 20_261_123;
  const hiss = (): number => ((seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647 - 0.5) * 0.002;
  const samples = voiceOnly.samples.map((sample, at) => {
    const hum = 0.0015 * Math.sin((2 * Math.PI * 120 * at) / phoneRateHz);
    return 0.35 * sample + hum + hiss();
  });
  return writeWav({ samples, rateHz: phoneRateHz }) as Uint8Array<ArrayBuffer>;
}
