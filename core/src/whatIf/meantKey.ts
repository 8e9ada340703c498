import type { Key, Option } from '../line';

/**
 * The key that a caller presses in a menu who would have pressed another in the menu as it was: the one that does the same, or
 * is for the same, wherever it is now; null where nothing there is what they want.
 */
export function meantKey(key: Key, before: readonly Option[] | null, now: readonly Option[]): Key | null {
  const wanted = before?.find((option) => option.key === key);
  const same = now.find((option) => option.key === key);
  if (!wanted || !before) return same ? key : null;
  if (same && (same.label === wanted.label || isSamePath(same, wanted))) return key;
  const moved = now.find((option) => isSamePath(option, wanted)) ?? now.find((option) => option.label === wanted.label);
  return moved?.key ?? null;
}

function isSamePath(one: Option, other: Option): boolean {
  return one.path.length > 0 && JSON.stringify(one.path) === JSON.stringify(other.path);
}
