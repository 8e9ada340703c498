import type { Switch, SwitchTo, TimeZone, UsualEnd } from '@locutor/core/hours';
import type { Attendant } from '@locutor/core/line';
import { showClock, showWhen } from '../parts/time';

/** What the switch makes of the line: "Closed", "Open", "After hours answers". */
export function switchedTo(to: SwitchTo, attendant: Pick<Attendant, 'sheets'>): string {
  if (to.type === 'closed') return 'Closed';
  if (to.type === 'open') return 'Open';
  return `${sheetName(to, attendant)} answers`;
}

/** What pressing the button does: "Close", "Open", "Let After hours answer". */
export function switchVerb(to: SwitchTo, attendant: Pick<Attendant, 'sheets'>): string {
  if (to.type === 'closed') return 'Close';
  if (to.type === 'open') return 'Open';
  return `Let ${sheetName(to, attendant)} answer`;
}

function sheetName({ sheetId }: Extract<SwitchTo, { type: 'sheet' }>, { sheets }: Pick<Attendant, 'sheets'>): string {
  return sheets.find(({ id }) => id === sheetId)?.name ?? 'a deleted sheet';
}

/** One of the usual ends, with its time. */
export function endWords({ is, atMs }: UsualEnd, timeZone: TimeZone, nowMs: number): string {
  switch (is) {
    case 'anHour':
      return `For an hour, until ${showClock(atMs, timeZone)}`;
    case 'endOfDay':
      return 'The rest of today';
    case 'nextOpening':
      return `Until we open next: ${showWhen(atMs, timeZone, nowMs)}`;
    case 'tomorrowNoon':
      return 'Until noon tomorrow';
  }
}

/** One setting of the past: "Closed, Mon 23 Nov 2:10 PM to 4:00 PM, by Noor Haldane; ended by Priya Castellanos". */
export function pastWords(
  set: Switch & { readonly endedAt: number | null; readonly endedBy: string },
  attendant: Attendant,
  timeZone: TimeZone,
  nowMs: number,
): string {
  const end = showWhen(set.endedAt ?? set.untilMs, timeZone, nowMs);
  const ended = set.endedAt === null || set.endedBy === set.by ? '' : `; ended by ${set.endedBy}`;
  const from = showWhen(set.fromMs, timeZone, nowMs);
  return `${switchedTo(set.to, attendant)}, from ${from} to ${end}, by ${set.by}${ended}`;
}
