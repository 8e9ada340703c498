import { editedOf } from '@locutor/core/hours';
import { withSpecialWords, type RowFix } from '@locutor/core/proof';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import type { KeptHours, Revised } from '../api/resources';
import { tellDone, tellProblem } from '../parts/notices';
import { askedFirst } from '../saving/askedFirst';

type Row = Revised & { readonly id: string };

/** Mends something in the directory or the hours, where it takes effect at once, with a way back. */
export function useRowFix(): (fix: RowFix, says: string) => Promise<void> {
  const { mutate } = useSWRConfig();

  /** Changes it and gives what it was before, to be put back. */
  const change = async (fix: RowFix): Promise<() => Promise<void>> => {
    const back = fix.type === 'special' ? await changeWords(fix) : await changeRow(fix);
    await Promise.all(listsOf(fix).map((list) => mutate(list)));
    return back;
  };
  const changeRow = async ({ type, id, changes }: Exclude<RowFix, { type: 'special' }>) => {
    const list = type === 'queue' ? '/api/queues' : '/api/boxes';
    const before = (await api<readonly Row[]>(list)).find((row) => row.id === id);
    if (!before) throw new Error('It was deleted meanwhile.');
    const after = await askedFirst<Row>(`${list}/${id}`, {
      method: 'PATCH',
      body: { ...changes, revision: before.revision },
    });
    const was = Object.fromEntries(Object.keys(changes).map((field) => [field, before[field as keyof Row]]));
    return async () => {
      await api(`${list}/${id}`, { method: 'PATCH', body: { ...was, revision: after.revision } });
      await mutate(list);
    };
  };
  const changeWords = async (fix: Extract<RowFix, { type: 'special' }>) => {
    const path = `/api/hours/${fix.id}`;
    const before = await api<KeptHours>(path);
    const was = before.special.find(({ id }) => id === fix.specialId)?.words ?? '';
    const put = (hours: KeptHours): Promise<KeptHours> =>
      askedFirst(path, { method: 'PUT', body: { revision: hours.revision, ...editedOf(hours) } });
    const after = await put(withSpecialWords(before, fix));
    return async () => {
      await put(withSpecialWords(after, { ...fix, words: was }));
      await Promise.all(listsOf(fix).map((list) => mutate(list)));
    };
  };
  return async (fix, says) => {
    try {
      const back = await change(fix);
      tellDone(`Done: ${says}.`, () => void back().catch((error: unknown) => tellProblem(wordsOf(error))));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
}

function listsOf({ type, id }: RowFix): readonly string[] {
  if (type === 'special') return ['/api/hours', `/api/hours/${id}`];
  return [type === 'queue' ? '/api/queues' : '/api/boxes'];
}
