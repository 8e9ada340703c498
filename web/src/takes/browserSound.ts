import {
  describeSoundFileProblem,
  largestSoundBytes,
  longestSoundMs,
  lookAtFile,
  lookOutside,
  mixDown,
  writeWav,
  type SoundFileProblem,
} from '@locutor/core/audio';

/** What is lost above half of it nobody hears on a telephone; a long file would be too large to send at the whole of it. */
const usualHz = 48_000;
const longHz = 24_000;
const longMs = 480_000;

/**
 * A sound file as it is sent: as it is, or, where it is AAC or Apple Lossless, as WAV. The server has no decoder for those
 * whose licence lets it be shipped; browsers have one of their own.
 * @throws Error with words for the manager when this browser has none either, or the file is not whole.
 */
export async function sendable(file: File): Promise<File> {
  if (file.size > largestSoundBytes) throw refused(file, { type: 'tooLarge', mostBytes: largestSoundBytes });
  const bytes = new Uint8Array(await file.arrayBuffer());
  const look = lookAtFile(bytes, file.name);
  if (look.type !== 'sound' || (look.kind !== 'm4a' && look.kind !== 'aac')) return file;
  const { isCutOff, isEncrypted, statedMs } = lookOutside(bytes, look.kind);
  if (isEncrypted) throw refused(file, { type: 'encrypted' });
  if (isCutOff) throw refused(file, { type: 'cutOff' });
  const tooLong = { type: 'tooLong', mostMs: longestSoundMs } as const;
  if (statedMs === null || statedMs > longestSoundMs)
    throw refused(file, statedMs === null ? { type: 'broken' } : tooLong);
  const context = new OfflineAudioContext(1, 1, statedMs > longMs ? longHz : usualHz);
  const sound = await context.decodeAudioData(bytes.buffer).catch(() => {
    throw refused(file, { type: 'browserOnly' });
  });
  if (sound.duration * 1000 > longestSoundMs) throw refused(file, tooLong);
  const channels = Array.from({ length: sound.numberOfChannels }, (_, index) => sound.getChannelData(index));
  const wav = writeWav(mixDown({ channels, rateHz: sound.sampleRate }));
  return new File([wav as BlobPart], file.name.replace(/(\.[^.]*)?$/, '.wav'), { type: 'audio/wav' });
}

function refused({ name }: File, problem: SoundFileProblem): Error {
  return new Error(describeSoundFileProblem(problem, name));
}
