/** Why a file cannot be taken as sound. */
export type SoundFileProblem =
  | { readonly type: 'empty' }
  | { readonly type: 'notAudio'; readonly looksLike?: string }
  | { readonly type: 'cutOff' }
  | { readonly type: 'encrypted' }
  | { readonly type: 'broken' }
  | { readonly type: 'noSound' }
  | { readonly type: 'unknownCoding'; readonly format: string }
  | { readonly type: 'tooLong'; readonly mostMs: number }
  | { readonly type: 'tooLarge'; readonly mostBytes: number }
  /** Bare G.711 has no header that says which law it is. */
  | { readonly type: 'whichLaw' }
  /** It took too long, or too much memory, to be read. */
  | { readonly type: 'tooMuch' }
  /** AAC and Apple Lossless are decoded by browsers, and by nothing that is shipped here. */
  | { readonly type: 'browserOnly' };

export const longestSoundMs = 600_000;
/** Memory and time go by samples, not by minutes: at higher rates than voices need less time is allowed. */
const mostFrames = (longestSoundMs / 1000) * 48_000;

/** The longest that is taken at a rate, in ms. */
export function longestAtMs(rateHz: number): number {
  return Math.floor(Math.min(longestSoundMs, (mostFrames / rateHz) * 1000));
}

export const largestSoundBytes = 50 * 1024 * 1024;
