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
  /** AAC and Apple Lossless are decoded by browsers, and by nothing that is shipped here. */
  | { readonly type: 'browserOnly' };

export const longestSoundMs = 600_000;
export const largestSoundBytes = 50 * 1024 * 1024;
