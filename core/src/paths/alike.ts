import type { CallScript } from '../call';
import { isInService } from '../directory';
import { dayAt, isWorkingAt, nextBoundary, type Hours } from '../hours';
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
  const kept = keptHours(script);
  const there = thereAt(script);
  return (atMs) => {
    const isTurning = kept.some((hours) => nextBoundary(hours, zone, atMs) < atMs + soonMs);
    return isSaidOfTime || isTurning ? String(atMs) : there(atMs);
  };
}

/** Who works at a moment, and which contacts are in service: calls lead to the same at moments of which this is the same. */
export function thereAt(script: CallScript): (atMs: number) => string {
  const zone = script.lines.find(({ id }) => id === script.lineId)?.timeZone ?? 'UTC';
  const kept = keptHours(script);
  const served = script.contacts.filter(({ serviceFrom, serviceUntil }) => serviceFrom ?? serviceUntil);
  return (atMs) => {
    const works = kept.map((hours) => Number(isWorkingAt(hours, zone, atMs)));
    const day = served.length > 0 ? dayAt(atMs, zone) : '';
    return `works ${works.join('')} served ${served.map((contact) => Number(isInService(contact, day))).join('')}`;
  };
}

/** The sets of hours that somebody keeps. */
function keptHours({ people, groups, queues, hours }: CallScript): readonly Hours[] {
  const keepers = [...people, ...groups, ...queues];
  return hours.filter(({ id }) => keepers.some(({ hoursId }) => hoursId === id));
}

/** Whether any text in a document has live parts. */
function saysLive(part: unknown): boolean {
  if (typeof part === 'string') return hasLiveParts(part);
  return typeof part === 'object' && part !== null && Object.values(part).some(saysLive);
}
