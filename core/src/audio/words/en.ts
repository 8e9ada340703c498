import type { SoundFault } from '../measures';
import type { PolishStage } from '../polish';
import type { SoundFileProblem } from '../soundFileProblem';

/** Why a file cannot be taken, and what to do, in the manager's words. */
export function describeSoundFileProblem(problem: SoundFileProblem, name: string): string {
  const file = `“${name}”`;
  switch (problem.type) {
    case 'empty':
      return `${file} is empty. Save it again where it was made, then bring it here.`;
    case 'notAudio':
      return `${file} is ${problem.looksLike ?? 'not a sound file'}${problem.looksLike ? ', not a sound' : ''}. Bring WAV, AU, MP3, M4A, Ogg or FLAC.`;
    case 'cutOff':
      return `${file} was cut off: its end is missing. Copy or download it again, then bring it here.`;
    case 'encrypted':
      return `${file} is encrypted, so it can be played only by the program it was bought with. Bring a copy without protection.`;
    case 'broken':
      return `${file} is damaged: what it says of itself cannot be. Save it again where it was made.`;
    case 'noSound':
      return `${file} has no sound in it. Listen to it where it was made, then save it again.`;
    case 'unknownCoding':
      return `${file} is a ${problem.format} file in a coding that cannot be read here. Save it as plain WAV (PCM), then bring it here.`;
    case 'tooLong':
      return `${file} is longer than ${spokenLimit(problem.mostMs)}. Shorten it, then bring it here.`;
    case 'tooLarge':
      return `${file} is larger than ${Math.round(problem.mostBytes / 1024 / 1024)} MB. Save it as MP3 or FLAC, then bring it here.`;
    case 'browserOnly':
      return `${file} is in a coding (AAC or Apple Lossless) that this browser does not read. Save it as WAV, FLAC or MP3, then bring it here.`;
    case 'tooMuch':
      return `${file} takes too much to read. Shorten it, or save it as plain WAV (PCM), then bring it here.`;
    case 'whichLaw':
      return `${file} is bare telephone sound and does not say in which law. In North America and Japan it is mu-law, elsewhere A-law.`;
  }
}

function spokenLimit(ms: number): string {
  const minutes = Math.floor(ms / 60_000);
  return minutes === 0 ? `${Math.floor(ms / 1000)} seconds` : `${minutes} minute${minutes === 1 ? '' : 's'}`;
}

/** What is wrong with a recording, and what to do. */
export const soundFaultWords: Readonly<Record<SoundFault, string>> = {
  silent: 'Nothing is heard. Check that the microphone is on and not muted, then record again.',
  tooQuiet: 'Very quiet. It was made louder, and the noise with it; speak closer to the microphone.',
  clipped: 'Too loud in places, so that it crackles. Turn the microphone down or step back, then record again.',
  antiphase: 'Its channels cancelled each other out, so that only one of them is used.',
  noisy: 'There is noise behind the voice. Record in a quieter room, or let the noise be taken away.',
  tooLong: 'Longer than a minute: most callers will not hear the end.',
};

export const polishStageWords: Readonly<Record<PolishStage, string>> = {
  measuring: 'Listening to it',
  cutting: 'Cutting',
  lessNoise: 'Taking noise away',
  resampling: 'Making it fit the telephone',
  loudness: 'Setting the loudness',
};
