import { keys, type Key, type Menu } from '@locutor/core/line';
import { useDraft } from '../../draft/DraftProvider';
import { goToKey } from './goToKey';

/** The order in which keys are offered: digits from 1 up, then 0, star and pound. */
const offered: readonly Key[] = [...keys.filter((key) => /[1-9]/.test(key)), '0', '*', '#'];

/** The first key that a menu does not use yet; undefined when all twelve are. */
export function nextFreeKey(menu: Menu): Key | undefined {
  return offered.find((key) => !menu.options.some((option) => option.key === key));
}

/** Gives a key a use and puts the cursor there. */
export function useAddKey(menu: Menu): (key: Key) => void {
  const { edit } = useDraft();
  return (key) => {
    edit({ type: 'addKey', sheetId: menu.id, option: { key, label: '', readOut: true, path: [] } });
    requestAnimationFrame(() => goToKey(key));
  };
}
