import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import type { Planned, Version } from '../../api/resources';
import { askInStages, type Work } from '../../api/stages';
import { useDraftTools } from '../../draft/DraftProvider';
import { rememberWho } from '../../parts/who';

export type AiringStage = 'proof' | 'rehearsals' | 'speaking' | 'storing' | 'onAir';

/** What putting on air has come to. */
export type Airing =
  | { readonly type: 'idle' }
  | { readonly type: 'working'; readonly stage: AiringStage | 'saving' }
  | { readonly type: 'refused'; readonly says: string }
  | { readonly type: 'done'; readonly version: Version };

/** Puts the draft on air, now or at a time; or an earlier version back. */
export function useAiring(versionId: string | null) {
  const { line, store } = useDraftTools();
  const { mutate } = useSWRConfig();
  const [state, setState] = useState<Airing>({ type: 'idle' });
  const [work, setWork] = useState<Work<Version> | null>(null);
  const path = `/api/lines/${line.id}`;
  const replaces = line.onAirVersionId;

  const seen = (): Promise<unknown> =>
    Promise.all([
      mutate('/api/lines'),
      mutate(`${path}/versions`),
      mutate(`${path}/planned`),
      mutate(`${path}/rehearsals`),
    ]);

  const back = versionId === null ? null : `${path}/versions/${versionId}`;

  /** What is put on air; of the draft what was seen of it. */
  const candidate = async (): Promise<object> => (back ? {} : { draftRevision: await store.saveNow() });

  const putOnAir = async (by: string, note: string): Promise<void> => {
    rememberWho(by);
    setState({ type: 'working', stage: 'saving' });
    try {
      const asked = askInStages<Version, AiringStage>(
        back ? `${back}/put-back` : `${path}/versions`,
        JSON.stringify({ ...(await candidate()), replaces, by, note }),
        (stage) => setState({ type: 'working', stage }),
      );
      setWork(asked);
      const version = await asked.done;
      await seen();
      setState({ type: 'done', version });
    } catch (error) {
      await seen();
      setState({ type: 'refused', says: wordsOf(error) });
    } finally {
      setWork(null);
    }
  };

  const plan = async (at: number, by: string, note: string, from: Planned | null): Promise<boolean> => {
    rememberWho(by);
    try {
      const revision = from ? { revision: from.revision } : {};
      const body = { ...(await candidate()), at, by, note, ...revision };
      await api(`${back ?? path}/planned`, { method: 'PUT', body });
      await mutate(`${path}/planned`);
      setState({ type: 'idle' });
      return true;
    } catch (error) {
      await mutate(`${path}/planned`);
      setState({ type: 'refused', says: wordsOf(error) });
      return false;
    }
  };

  return { state, putOnAir, plan, cancel: work?.cancel };
}
