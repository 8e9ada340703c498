import { readFile } from 'node:fs/promises';
import type { MessagePort } from 'node:worker_threads';
import { move, transferableSymbol, valueSymbol } from 'piscina';
import {
  applyCutting,
  asOnPhone,
  encodeG711,
  finish,
  hear,
  joinPcm,
  polish,
  readWav,
  resample,
  writeAu,
  writeG711Wav,
  writeMuLawWav,
  writeWav,
  type Heard,
  type Pcm,
  type Polished,
  type PolishStage,
  type Recipe,
  type SoundFileProblem,
} from '@locutor/core/audio';
import { right, wrong, type Result } from '@locutor/core/result';
import { giveWay } from '../giveWay';
import { keepAudio } from '../audio/audioFiles';
import { decodeSound } from './decode';
import { noiseReducer } from './noise';
import type {
  BringTask,
  Brought,
  DownloadKind,
  ForListening,
  ForListeningTask,
  PolishTask,
  Ready,
  SoundTask,
  WriteTask,
} from './soundTask';

giveWay();

/** More than this is of no use for a telephone, nor for taking noise away. */
const highestRateHz = 48_000;

/** Everything heavy that is done to sound: reading files, making them good, writing them. */
export default function work(
  task: SoundTask,
): Promise<Result<Brought, SoundFileProblem> | Ready | null | Uint8Array | ForListening> {
  switch (task.type) {
    case 'bring':
      return bring(task);
    case 'polish':
      return polishAgain(task);
    case 'write':
      return write(task);
    case 'forListening':
      return forListening(task);
  }
}

async function bring(task: BringTask): Promise<Result<Brought, SoundFileProblem>> {
  const heard = await heardOf(task);
  if (!heard.ok) return heard;
  const { source, isOneOfSeveral, ...rest } = heard.value;
  // The recording itself, many times as large as what the telephone carries, is let go by now.
  const polished = finish(rest, task.recipe, teller(task.port));
  if (polished.pcm.samples.length === 0) return wrong({ type: 'noSound' });
  return right({
    originalId: await keepAudio(task.folder, await readFile(task.path)),
    recordingId: await keepAudio(task.folder, source),
    isOneOfSeveral,
    ...(await readied(polished, task.folder)),
  });
}

type HeardFile = Heard & Pick<Brought, 'isOneOfSeveral'> & { readonly source: Uint8Array };

async function heardOf({ path, name, law, recipe, port }: BringTask): Promise<Result<HeardFile, SoundFileProblem>> {
  const decoded = await decodeSound(await readFile(path), name, law);
  if (!decoded.ok) return decoded;
  const { pcm, mixing } = decoded.value;
  const recording = pcm.rateHz > highestRateHz ? resample(pcm, highestRateHz) : pcm;
  const heard = hear(recording, recipe.lessNoise ? await noiseReducer() : null, teller(port));
  return right({ ...heard, source: writeWav(recording), isOneOfSeveral: mixing.type === 'only' });
}

/** @returns null where nothing is left of it; nothing is kept then. */
async function polishAgain({ recording, recipe, folder, port }: PolishTask): Promise<Ready | null> {
  const polished = await polishNow(await kept(recording), recipe, port);
  return polished.pcm.samples.length === 0 ? null : readied(polished, folder);
}

async function write({ recording, recipe, as }: WriteTask): Promise<Uint8Array> {
  const sound = writers[as]((await polishNow(await kept(recording), recipe)).pcm);
  return handedOver(sound, [sound]);
}

/** What a worker answers, its sounds handed over and not copied. */
function handedOver<Answer>(answer: Answer, sounds: readonly Uint8Array[]): Answer {
  const buffers = sounds.map(({ buffer }) => buffer);
  return move({ [transferableSymbol]: buffers, [valueSymbol]: answer } as never) as Answer;
}

/** The recogniser's model was made from sound at this rate. */
const modelRateHz = 16_000;
/** A recording at a lower rate carries no more than a telephone does. */
const narrowBelowHz = 12_000;
/** Silence before and after it, so that no word begins at once. */
const aroundMs = 250;

async function forListening({ recording, cutting }: ForListeningTask): Promise<ForListening> {
  const { samples, rateHz } = applyCutting(await kept(recording), cutting);
  // To a multiple of 100 Hz, so that resampling has few phases.
  const heard = resample({ samples, rateHz: Math.round(rateHz / 100) * 100 }, modelRateHz);
  const silence = { samples: new Float32Array((aroundMs / 1000) * modelRateHz), rateHz: modelRateHz };
  const wav = writeWav(joinPcm([silence, heard, silence], modelRateHz));
  return handedOver({ wav, isNarrow: rateHz < narrowBelowHz }, [wav]);
}

const writers: Readonly<Record<DownloadKind, (pcm: Pcm) => Uint8Array>> = {
  wav: writeWav,
  muLaw: ({ samples }) => encodeG711(samples, 'mu'),
  aLaw: ({ samples }) => encodeG711(samples, 'a'),
  muLawWav: (pcm) => writeG711Wav(pcm, 'mu'),
  aLawWav: (pcm) => writeG711Wav(pcm, 'a'),
  au: (pcm) => writeAu(pcm, 'mu'),
  asOnPhone: (pcm) => writeWav(asOnPhone(pcm)),
};

async function polishNow(recording: Pcm, recipe: Recipe, port?: MessagePort): Promise<Polished> {
  return polish(recording, recipe, recipe.lessNoise ? await noiseReducer() : null, teller(port));
}

function teller(port?: MessagePort): (stage: PolishStage) => void {
  return (stage) => port?.postMessage(stage);
}

async function readied({ pcm, ...made }: Polished, folder: string): Promise<Ready> {
  return { audioId: await keepAudio(folder, writeMuLawWav(pcm)), made };
}

/** What was kept was written here, so that it can be read. */
async function kept(path: string): Promise<Pcm> {
  const read = readWav(await readFile(path));
  if (!read.ok) throw new Error('A kept recording cannot be read');
  return read.value;
}
