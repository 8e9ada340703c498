import type { Key, SheetId } from '@locutor/core/line';
import { flushSync } from 'react-dom';
import { useDraftTools } from '../../draft/DraftProvider';
import { goToKey } from './goToKey';

/**
 * Gives a key a use and puts the cursor there before anything else is taken in: what is typed right after the click
 * must not be read as shortcuts.
 */
export function useAddKey(sheetId: SheetId): (key: Key) => void {
  const { edit } = useDraftTools();
  return (key) => {
    flushSync(() => edit({ type: 'addKey', sheetId, option: { key, label: '', readOut: true, path: [] } }));
    goToKey(sheetId, key);
  };
}
