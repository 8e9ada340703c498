import type { Names } from '@locutor/core/line';
import useSWR from 'swr';
import { api } from '../../api/client';
import { useDraftTools } from '../../draft/DraftProvider';

const none: Names = {};

/** What everything is called that past calls speak of: by its name of today, or by its last one where it was deleted. */
export function useNamesThen(): Names {
  const { names } = useDraftTools();
  const known = useSWR<Names>('/api/names', api).data ?? none;
  return { ...known, ...names };
}
