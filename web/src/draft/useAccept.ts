import { useCallback } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import type { AcceptedFinding } from '../api/resources';
import { tellProblem } from '../parts/notices';
import { rememberWho } from '../parts/who';
import { useDraftTools } from './DraftProvider';

/** Says yes to a caution or silences a tip, and takes that back. Both tell whether they could. */
export function useAccept() {
  const { line } = useDraftTools();
  const { mutate } = useSWRConfig();
  const path = `/api/lines/${line.id}/proof/accepted`;
  const keep = useCallback(
    async (asked: Promise<readonly AcceptedFinding[]>): Promise<boolean> => {
      try {
        await mutate(path, await asked, { revalidate: false });
        return true;
      } catch (error) {
        tellProblem(wordsOf(error));
        return false;
      }
    },
    [mutate, path],
  );
  const accept = useCallback(
    (key: string, reason: string, by: string) => {
      rememberWho(by);
      return keep(api(path, { method: 'PUT', body: { key, reason, by } }));
    },
    [keep, path],
  );
  const withdraw = useCallback(
    (key: string) => keep(api(`${path}?key=${encodeURIComponent(key)}`, { method: 'DELETE' })),
    [keep, path],
  );
  return { accept, withdraw };
}
