import type { Expectation, Scene } from '@locutor/core/rehearsals';
import { useCallback } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import type { KeptRehearsal } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { tellDone, tellProblem } from '../../parts/notices';

/** A rehearsal as it is written, before it is kept. */
export interface RehearsalContent {
  readonly name: string;
  readonly scene: Scene;
  readonly expects: readonly Expectation[];
}

/** How rehearsals are kept, changed and deleted. Each tells whether it could; what did not work is said. */
export function useRehearsalDoors() {
  const { line, store } = useDraftTools();
  const { mutate } = useSWRConfig();
  const path = `/api/lines/${line.id}/rehearsals`;
  const doing = useCallback(
    async (work: () => Promise<unknown>): Promise<boolean> => {
      try {
        await work();
        await mutate(path);
        return true;
      } catch (error) {
        tellProblem(wordsOf(error));
        return false;
      }
    },
    [mutate, path],
  );
  const add = (rehearsals: readonly RehearsalContent[]): Promise<boolean> =>
    doing(async () => {
      // How they go now is remembered with them, so the draft must be there as it is seen.
      await store.saveNow();
      await api(path, {
        method: 'POST',
        body: { rehearsals: rehearsals.map(({ name, scene, expects }) => ({ name, scene, expects })) },
      });
    });
  const change = (id: string, revision: number, { name, scene, expects }: RehearsalContent): Promise<boolean> =>
    doing(async () => {
      await store.saveNow();
      await api(`${path}/${id}`, { method: 'PUT', body: { name, scene, expects, revision } });
    });
  const remove = async ({ id, name }: KeptRehearsal): Promise<void> => {
    if (!(await doing(() => api(`${path}/${id}`, { method: 'DELETE' })))) return;
    tellDone(`“${name}” was deleted.`, () => void doing(() => api(`${path}/${id}/restore`, { method: 'POST' })));
  };
  return { add, change, remove };
}
