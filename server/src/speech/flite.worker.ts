import { readWav, type Pcm } from '@locutor/core/audio';
import { tuningOf, voiceNameOf, type VoiceName } from '@locutor/core/line';
import { giveWay } from '../giveWay';
import { outFolder, runFlite, speakable } from './flite';
import { atPitch, forPhone, pitchRatio } from './forPhone';
import type { Spoken, VoiceTask } from './voice';

giveWay();

/** Speaks one sentence in English. */
export default async function speak({ voice, text }: VoiceTask): Promise<Spoken> {
  const { pace, pitch } = tuningOf(voice);
  // A higher voice is one played faster; it is spoken that much slower first.
  const stretch = (100 / pace) * pitchRatio(pitch);
  return forPhone(atPitch(await spoken(voiceNameOf(voice), stretch, speakable(text)), pitch));
}

async function spoken(voice: VoiceName, stretch: number, text: string): Promise<Pcm> {
  const slowed = stretch === 1 ? [] : ['--setf', `duration_stretch=${stretch.toFixed(3)}`];
  const run = await runFlite('-voice', voice, ...slowed, '-t', text, '-o', `${outFolder}/spoken.wav`);
  const file = run.file('spoken.wav');
  const wav = file && readWav(file);
  if (run.code !== 0 || !wav?.ok) {
    throw new Error(`Flite could not say "${text}" (code ${run.code}): ${run.printed.join(' ')}`);
  }
  return wav.value;
}
