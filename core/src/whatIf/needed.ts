import { readyOf, type CallScript } from '../call';
import { membersAtWork, type GroupId, type QueueId } from '../directory';
import { isWorkingAt, wallInstant, weekdayOf, weekdays, type DayNumber, type Weekday } from '../hours';
import { membersAt } from '../rota';
import { linesFor, loadOf, meanPatience, membersFor, type Demand, type SeenWait, type Target } from '../traffic';
import type { LoggedCaller } from './loggedCaller';

/** An hour of the week of a queue or group: who is needed, and who is there. */
export interface NeededHour {
  readonly weekday: Weekday;
  readonly hour: number;
  /** What comes in such an hour, on the average of those days. */
  readonly demand: Demand;
  /** How many members the target needs; null where no number does. */
  readonly needed: number | null;
  /** How many are at work on the average of those days, whether they are free or not. */
  readonly there: number;
  readonly isShort: boolean;
}

/** Fewer calls tell nothing of how long those of an hour are served: it is taken from all. */
const leastServed = 20;

/**
 * How many members a queue or group needs in each hour in which somebody calls it. A queue by Erlang A with the patience of
 * the log (by Erlang C while nobody is known to have given up), so that a share is answered within the seconds of its target; a
 * group, which holds nobody, by Erlang B, so that this share finds somebody free.
 *
 * @param days of the log that the callers are of
 */
export function membersNeeded(
  script: CallScript,
  of: GroupId | QueueId,
  callers: readonly LoggedCaller[],
  days: readonly DayNumber[],
  target: Target,
): readonly NeededHour[] {
  const ready = readyOf(script);
  const queue = ready.queues.get(of);
  const membership = queue ?? ready.groups.get(of);
  if (!membership) return [];
  const calls = callers.flatMap((caller) => reachedIt(caller, of));
  const waits = calls.flatMap(({ wait }) => wait ?? []);
  const patience = meanPatience(waits);
  const allServed = calls.flatMap(({ servedMs }) => servedMs ?? []);
  const usualMs = mean(allServed) ?? usualServedMs;
  const zone = script.lines.find(({ id }) => id === script.lineId)?.timeZone ?? 'UTC';
  const thereAt = (day: DayNumber, hour: number): number => {
    const atMs = wallInstant(zone, day, hour * 60 + 30);
    const keeps = (hoursId: string): boolean => {
      const hours = ready.hours.get(hoursId);
      return !hours || isWorkingAt(hours, zone, atMs);
    };
    const rung = 'rota' in membership ? { ...membership, members: membersAt(membership, zone, atMs) } : membership;
    return membersAtWork(rung, (id) => ready.people.get(id), keeps).length;
  };
  return weekdays.flatMap((weekday) => {
    const ofWeekday = days.filter((day) => weekdayOf(day) === weekday);
    return Array.from({ length: 24 }, (_, hour): NeededHour[] => {
      const here = calls.filter(
        ({ caller }) => weekdayOf(caller.day) === weekday && Math.floor(caller.minute / 60) === hour,
      );
      if (here.length === 0 || ofWeekday.length === 0) return [];
      const served = here.flatMap(({ servedMs }) => servedMs ?? []);
      const servedMs = served.length >= leastServed ? (mean(served) ?? usualMs) : usualMs;
      const demand: Demand = {
        callsPerHour: here.length / ofWeekday.length,
        servedS: servedMs / 1000 + membership.restSeconds,
        patienceS: patience && patience.meanMs / 1000,
      };
      const needed = queue ? membersFor(demand, target) : linesFor(loadOf(demand), 1 - target.share);
      const there = mean(ofWeekday.map((day) => thereAt(day, hour))) ?? 0;
      return [{ weekday, hour, demand, needed, there, isShort: needed === null || there < needed - 0.25 }];
    }).flat();
  });
}

/** Where nobody has talked yet. */
const usualServedMs = 120_000;

interface Reached {
  readonly caller: LoggedCaller;
  /** How long somebody was taken up by them, ringing included; undefined where nobody answered. */
  readonly servedMs: number | undefined;
  readonly wait: SeenWait | undefined;
}

function reachedIt(caller: LoggedCaller, of: GroupId | QueueId): readonly Reached[] {
  const wait = caller.waits.find(({ queueId }) => queueId === of);
  const rings = caller.rings.filter(({ through }) => through === of);
  if (!wait && rings.length === 0) return [];
  const answered = rings.find(({ end }) => end === 'answered');
  const servedMs = answered && answered.forMs + caller.talkMs;
  return [{ caller, servedMs, wait: wait && { waitedMs: wait.waitedMs, gaveUp: wait.end === 'hungUp' } }];
}

function mean(values: readonly number[]): number | undefined {
  return values.length > 0 ? values.reduce((sum, value) => sum + value, 0) / values.length : undefined;
}
