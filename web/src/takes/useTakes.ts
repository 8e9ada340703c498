import type { Polished, Recipe, SoundFault } from '@locutor/core/audio';
import type { RecordedTake, TakeSays, TakeVerdict } from '@locutor/core/line';
import useSWR from 'swr';
import { api } from '../api/client';

/** A recording as the server keeps it. */
export interface KeptTake extends RecordedTake {
  readonly place: string;
  readonly source: 'microphone' | 'phone' | 'file';
  readonly fileName: string;
  readonly madeAt: number;
  readonly recordingId: string;
  readonly recipe: Recipe;
  readonly made: Omit<Polished, 'pcm'>;
  readonly faults: readonly SoundFault[];
  readonly says: TakeSays;
  /** Null until it was listened to. */
  readonly verdict: TakeVerdict | null;
}

const none: readonly KeptTake[] = [];
export const takesPath = '/api/takes';

/** Every recording, the newest first. */
export function useTakes(): readonly KeptTake[] {
  return useSWR<readonly KeptTake[]>(takesPath, api).data ?? none;
}
