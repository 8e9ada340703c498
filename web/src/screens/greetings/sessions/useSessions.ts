import useSWR from 'swr';
import { api } from '../../../api/client';

/** Texts that are recorded one after the other. */
export interface RecordingSession {
  readonly id: string;
  readonly name: string;
  /** The places of their recordings, in order. */
  readonly places: readonly string[];
  /** In ms since 1970: recordings made since then are of it. */
  readonly madeAt: number;
}

const none: readonly RecordingSession[] = [];
const list = '/api/recording-sessions';

export function useSessions() {
  const { data = none, mutate } = useSWR<readonly RecordingSession[]>(list, api);
  const add = async (name: string, places: readonly string[]): Promise<RecordingSession> => {
    const session = await api<RecordingSession>(list, { method: 'POST', body: { name, places } });
    await mutate();
    return session;
  };
  const remove = async ({ id }: RecordingSession): Promise<void> => {
    await api(`${list}/${id}`, { method: 'DELETE' });
    await mutate();
  };
  return { sessions: data, add, remove };
}
