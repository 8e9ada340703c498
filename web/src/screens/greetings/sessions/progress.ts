import type { KeptTake } from '../../../takes/useTakes';
import type { Recordable } from '../useRecordables';
import type { RecordingSession } from './useSessions';

export interface SessionText {
  readonly of: Recordable;
  /** The recording of it that was made in the session and is heard; null until there is one. */
  readonly take: KeptTake | null;
}

/** How far a session is: its texts that still are, each with what was recorded of it since it began. */
export function progressOf(
  { places, madeAt }: RecordingSession,
  recordables: readonly Recordable[],
  takes: readonly KeptTake[],
): readonly SessionText[] {
  return places.flatMap((place): SessionText[] => {
    const of = recordables.find((each) => each.place === place);
    if (!of) return [];
    const take = takes.find(({ id, madeAt: at }) => id === of.use?.takeId && at >= madeAt) ?? null;
    return [{ of, take }];
  });
}
