import { type Key, type Menu } from '@locutor/core/line';
import { useDraft } from '../../draft/DraftProvider';
import { goToKey } from './goToKey';

/** Gives a key a use and puts the cursor there. */
export function useAddKey(menu: Menu): (key: Key) => void {
  const { edit } = useDraft();
  return (key) => {
    edit({ type: 'addKey', sheetId: menu.id, option: { key, label: '', readOut: true, path: [] } });
    requestAnimationFrame(() => goToKey(menu.id, key));
  };
}
