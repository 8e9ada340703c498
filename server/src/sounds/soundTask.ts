import type { MessagePort } from 'node:worker_threads';
import type { G711Law, Polished, Recipe } from '@locutor/core/audio';

/** What was measured of a recording and done to it. */
export type Made = Omit<Polished, 'pcm'>;

/** A recording ready for the line. */
export interface Ready {
  /** WAV, G.711 mu-law, 8 kHz. */
  readonly phone: Uint8Array;
  readonly made: Made;
}

/** A file as it was read: one channel of 16-bit sound at its own rate, at most 48 kHz, and what it became. */
export interface Brought extends Ready {
  readonly source: Uint8Array;
  /** Whether one channel was used and others not, since together they would have been silent. */
  readonly isOneOfSeveral: boolean;
}

export const downloadKinds = ['wav', 'muLaw', 'aLaw', 'muLawWav', 'aLawWav', 'au', 'asOnPhone'] as const;
export type DownloadKind = (typeof downloadKinds)[number];

/** Tasks for the sound worker; stages of the work are posted to `port`. */
export interface BringTask {
  readonly type: 'bring';
  readonly file: Uint8Array;
  readonly name: string;
  readonly law: G711Law | null;
  readonly recipe: Recipe;
  readonly port?: MessagePort;
}
export interface PolishTask {
  readonly type: 'polish';
  readonly source: Uint8Array;
  readonly recipe: Recipe;
  readonly port?: MessagePort;
}
export interface WriteTask {
  readonly type: 'write';
  readonly source: Uint8Array;
  readonly recipe: Recipe;
  readonly as: DownloadKind;
}
/** A recording for the recogniser: as it is, a little slower, a little quicker. */
export interface ForListeningTask {
  readonly type: 'forListening';
  readonly source: Uint8Array;
}
export type SoundTask = BringTask | PolishTask | WriteTask | ForListeningTask;
