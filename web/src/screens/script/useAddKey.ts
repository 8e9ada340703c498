import type { Key, SheetId } from '@locutor/core/line';
import { useDraftTools } from '../../draft/DraftProvider';
import { goToKey } from './goToKey';

/** Gives a key a use and puts the cursor there. */
export function useAddKey(sheetId: SheetId): (key: Key) => void {
  const { edit } = useDraftTools();
  return (key) => {
    edit({ type: 'addKey', sheetId, option: { key, label: '', readOut: true, path: [] } });
    requestAnimationFrame(() => goToKey(sheetId, key));
  };
}
