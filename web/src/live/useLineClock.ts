import useSWR from 'swr';
import { api } from '../api/client';

interface LineClock {
  readonly nowMs: number;
  readonly isPretended: boolean;
}

const everyMs = 10_000;

/** Which moment the live line believes it is, and how to set it: a reading of the clock on its wall, or null for now. */
export function useLineClock() {
  const { data, mutate } = useSWR<LineClock>('/api/live/clock', api, { refreshInterval: everyMs });
  const set = async (reading: string | null): Promise<void> => {
    await mutate(api<LineClock>('/api/live/clock', { method: 'PUT', body: { reading } }), { revalidate: false });
  };
  return { clock: data, set };
}
