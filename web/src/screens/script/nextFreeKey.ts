import { keys, type Key, type Menu } from '@locutor/core/line';

/** The order in which keys are offered: digits from 1 up, then 0, star and pound. */
const offered: readonly Key[] = [...keys.filter((key) => /[1-9]/.test(key)), '0', '*', '#'];

/** The first key that a menu does not use yet; undefined when all twelve are. */
export function nextFreeKey(menu: Pick<Menu, 'options'>): Key | undefined {
  return offered.find((key) => !menu.options.some((option) => option.key === key));
}
