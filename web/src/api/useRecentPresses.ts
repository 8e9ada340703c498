import { showDate, wallTime } from '@locutor/core/hours';
import type { SheetPresses } from '@locutor/core/traffic';
import useSWR from 'swr';
import { useDraftTools } from '../draft/DraftProvider';
import { useNow } from '../parts/useNow';
import { api } from './client';

const fourWeeks = 28;

/** What callers of the line pressed in the last four whole weeks; undefined until it is known, or while it is not wanted. */
export function useRecentPresses(wanted: boolean): readonly SheetPresses[] | undefined {
  const { line } = useDraftTools();
  const today = wallTime(line.timeZone, useNow(600_000)).day;
  const span = { from: showDate(today - fourWeeks), to: showDate(today - 1) };
  const asked = new URLSearchParams({ ...span, lineId: line.id }).toString();
  return useSWR<readonly SheetPresses[]>(wanted ? `/api/traffic/pressed?${asked}` : null, api).data;
}
