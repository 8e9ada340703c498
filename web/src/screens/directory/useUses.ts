import useSWR from 'swr';
import { api } from '../../api/client';

type Uses = Readonly<Record<string, readonly string[]>>;

const nowhere: readonly string[] = [];

/** Where things are used on every line, in the draft and on air, in groups, queues and boxes, in words; by id. */
export function useUses(): { readonly usesOf: (id: string) => readonly string[]; readonly isLoading: boolean } {
  const { data } = useSWR<Uses>('/api/uses', api);
  return { usesOf: (id) => data?.[id] ?? nowhere, isLoading: data === undefined };
}
