import type { MessagePort } from 'node:worker_threads';
import type { Cutting, G711Law, Polished, Recipe } from '@locutor/core/audio';
import type { AudioId } from '../audio/audioId';

/** What was measured of a recording and done to it. */
export type Made = Omit<Polished, 'pcm'>;

/** A recording ready for the line. */
export interface Ready {
  /** WAV, G.711 mu-law, 8 kHz. */
  readonly audioId: AudioId;
  readonly made: Made;
}

/** A file that was read, and what it became; all of it is kept. */
export interface Brought extends Ready {
  /** The file as it came. */
  readonly originalId: AudioId;
  /** One channel of 16-bit sound at its own rate, at most 48 kHz. */
  readonly recordingId: AudioId;
  /** Whether one channel was used and others not, since together they would have been silent. */
  readonly isOneOfSeveral: boolean;
}

export const downloadKinds = ['wav', 'muLaw', 'aLaw', 'muLawWav', 'aLawWav', 'au', 'asOnPhone'] as const;
export type DownloadKind = (typeof downloadKinds)[number];

/**
 * Tasks for the sound worker; stages of the work are posted to `port`. Sounds are read where they are kept and kept where they
 * are made: none of it passes through the thread that runs the calls.
 */
export interface BringTask {
  readonly type: 'bring';
  /** Where the file is. */
  readonly path: string;
  readonly name: string;
  readonly law: G711Law | null;
  readonly recipe: Recipe;
  /** The folder of all that is kept. */
  readonly folder: string;
  readonly port?: MessagePort;
}
export interface PolishTask {
  readonly type: 'polish';
  /** Where the recording is kept. */
  readonly recording: string;
  readonly recipe: Recipe;
  /** The folder of all that is kept. */
  readonly folder: string;
  readonly port?: MessagePort;
}
export interface WriteTask {
  readonly type: 'write';
  /** Where the recording is kept. */
  readonly recording: string;
  readonly recipe: Recipe;
  readonly as: DownloadKind;
}
/** A recording as the recogniser wants it. */
export interface ForListeningTask {
  readonly type: 'forListening';
  /** Where the recording is kept. */
  readonly recording: string;
  /** What is cut out of it is not listened to. */
  readonly cutting: Cutting;
}
/** It (WAV, 16 bits, 16 kHz), and whether it carries no more than a telephone does. */
export interface ForListening {
  readonly wav: Uint8Array;
  readonly isNarrow: boolean;
}
export type SoundTask = BringTask | PolishTask | WriteTask | ForListeningTask;
