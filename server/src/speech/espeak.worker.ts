import { tuningOf, voiceNameOf, type ShippedVoice } from '@locutor/core/line';
import { giveWay } from '../giveWay';
import { atPitch, forPhone, pitchRatio } from './forPhone';
import type { Spoken, VoiceTask } from './voice';

giveWay();

/** What of the program's interface is used here; its package has no types. */
interface Program {
  readonly eSpeakNGWorker: new () => Speaker;
}
interface Speaker {
  set_voice(name: string): number;
  set_rate(wordsPerMinute: number): void;
  get_samplerate(): number;
  /** Gives 16-bit samples piece by piece; returning false goes on. */
  synthesize(text: string, take: (audio: ArrayBuffer | null) => boolean): void;
}

/** The program's names for our voices: a language, and a variant of the voice. */
const programVoices: Partial<Record<ShippedVoice, string>> = {
  gbWoman: 'en-gb-x-rp+f2',
  gbMan: 'en-gb-x-rp+m3',
  beWoman: 'fr-be+f2',
  beMan: 'fr-be+m3',
  laWoman: 'es-419+f2',
  laMan: 'es-419+m3',
  frWoman: 'fr+f2',
  frMan: 'fr+m3',
  esWoman: 'es+f2',
  esMan: 'es+m3',
  deWoman: 'de+f2',
  deMan: 'de+m3',
};

/** A little slower than the program's own pace: the telephone takes the high tones away that help to understand. */
const wordsPerMinute = 155;

const speaker = start();

async function start(): Promise<Speaker> {
  const { default: run } = (await import('@echogarden/espeak-ng-emscripten' as string)) as {
    default: () => Promise<Program>;
  };
  const { eSpeakNGWorker } = await run();
  return new eSpeakNGWorker();
}

/** Speaks one sentence. */
export default async function speak({ voice, text }: VoiceTask): Promise<Spoken> {
  const name = programVoices[voiceNameOf(voice) as ShippedVoice];
  const { pace, pitch } = tuningOf(voice);
  if (!name) throw new Error(`eSpeak NG has no voice for ${voice}`);
  const program = await speaker;
  if (program.set_voice(name) !== 0) throw new Error(`eSpeak NG does not know the voice ${name}`);
  program.set_rate(Math.round((wordsPerMinute * pace) / 100 / pitchRatio(pitch)));
  const pieces: Int16Array[] = [];
  program.synthesize(text, (audio) => {
    if (audio) pieces.push(new Int16Array(audio.slice(0)));
    return false;
  });
  const samples = Float32Array.from(
    pieces.flatMap((piece) => [...piece]),
    (sample) => sample / 32768,
  );
  return forPhone(atPitch({ samples, rateHz: program.get_samplerate() }, pitch));
}
