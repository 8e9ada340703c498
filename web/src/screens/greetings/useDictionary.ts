import type { SayAs } from '@locutor/core/speech';
import useSWR from 'swr';
import { api } from '../../api/client';
import type { Revised } from '../../api/resources';
import { forgetSentences } from '../../handset/sounds';

interface Kept extends Revised {
  readonly words: readonly SayAs[];
}

const path = '/api/dictionary';
const none: readonly SayAs[] = [];

/** How words are said, and how to change that. */
export function useDictionary() {
  const { data, mutate } = useSWR<Kept>(path, api);
  const words = data?.words ?? none;
  const save = async (changed: readonly SayAs[]): Promise<void> => {
    const body = { revision: data?.revision, words: changed };
    await mutate(await api<Kept>(path, { method: 'PUT', body }), { revalidate: false });
    forgetSentences();
  };
  return {
    words,
    isLoaded: data !== undefined,
    save,
    /** Adds those that are not in it yet. */
    add: async (more: readonly SayAs[]): Promise<void> => {
      const isKnown = ({ written }: SayAs): boolean =>
        words.some((each) => each.written.toLowerCase() === written.toLowerCase());
      const unknown = more.filter((each) => !isKnown(each));
      if (unknown.length > 0) await save([...words, ...unknown]);
    },
  };
}
