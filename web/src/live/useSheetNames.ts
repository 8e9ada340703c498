import type { Names } from '@locutor/core/line';
import { useServerScripts } from '../api/resources';

/** What the menus and announcements on air are called, on every line. */
export function useSheetNames(): Names {
  const sheets = useServerScripts().flatMap(({ attendant }) => attendant.sheets);
  return Object.fromEntries(sheets.map(({ id, name }) => [id, name]));
}
