import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { tellDone, tellProblem } from './notices';

/** Deletes a row of a list, with a way back; a refusal is told with where the row is used. */
export function useRemoveRow(list: string): (row: { readonly id: string; readonly name: string }) => Promise<boolean> {
  const { mutate } = useSWRConfig();
  const restore = async (id: string): Promise<void> => {
    try {
      await api(`${list}/${id}/restore`, { method: 'POST' });
      await mutate(list);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return async ({ id, name }) => {
    try {
      await api(`${list}/${id}`, { method: 'DELETE' });
      await mutate(list);
      tellDone(`${name} was deleted.`, () => void restore(id));
      return true;
    } catch (error) {
      tellProblem(wordsOf(error));
      return false;
    }
  };
}
