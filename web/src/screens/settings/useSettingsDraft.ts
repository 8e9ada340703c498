import type { Settings } from '../../api/resources';
import { useFieldsDraft, type RowDraft } from '../../saving/useRowDraft';

/** The settings of the business, edited in place. */
export function useSettingsDraft(kept: Settings): RowDraft<Settings> {
  return useFieldsDraft({ list: '/api/settings', id: null, what: 'The settings' }, kept);
}
