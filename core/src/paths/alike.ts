import type { CallScript } from '../call';
import { dayAt, isWorkingAt, nextBoundary } from '../hours';
import { hasLiveParts } from '../line';

/** No path that is drawn takes longer before its next choice. */
const soonMs = 30 * 60_000;

/**
 * What of a moment makes a difference to a call that was answered: who works, and what words say of the time. Calls go
 * alike at moments of which this text is the same.
 */
export function alikeMoments(script: CallScript): (atMs: number) => string {
  const line = script.lines.find(({ id }) => id === script.lineId);
  const zone = line?.timeZone ?? 'UTC';
  const said = [line?.attendant, script.greetings, script.queues, script.boxes];
  const isSaidOfTime = said.some(saysLive);
  const keepers = [...script.people, ...script.groups, ...script.queues];
  const kept = script.hours.filter(({ id }) => keepers.some(({ hoursId }) => hoursId === id));
  const isByDay = script.contacts.some(({ serviceFrom, serviceUntil }) => serviceFrom ?? serviceUntil);
  return (atMs) => {
    const isTurning = kept.some((hours) => nextBoundary(hours, zone, atMs) < atMs + soonMs);
    if (isSaidOfTime || isTurning) return String(atMs);
    const works = kept.map((hours) => Number(isWorkingAt(hours, zone, atMs))).join('');
    return `works ${works} ${isByDay ? dayAt(atMs, zone) : ''}`;
  };
}

/** Whether any text in a document has live parts. */
function saysLive(part: unknown): boolean {
  if (typeof part === 'string') return hasLiveParts(part);
  return typeof part === 'object' && part !== null && Object.values(part).some(saysLive);
}
