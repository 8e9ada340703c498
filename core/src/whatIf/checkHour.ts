import type { CallScript } from '../call';
import { personDefaults, personId, queueDefaults, queueId, type Person, type Queue } from '../directory';
import { callId, VirtualLine, type CallId } from '../exchange';
import { chanceFrom, exponential, type Demand } from '../traffic';
import { pooledShare, type Mean } from './meanOf';

/** What an hour in a queue came to when it was played through, over and over. */
export interface PlayedHour {
  /** Shares of those who came in the hour: answered within the seconds, and given up. */
  readonly within: Mean;
  readonly gaveUp: Mean;
}

const hourMs = 3_600_000;
/** It takes a while until as many wait as usually do. */
const warmUpMs = hourMs;
const startMs = Date.UTC(2026, 0, 5);

/**
 * Plays an hour of a queue on the call machine and the exchange, so many times: callers come at random, are served and lose
 * patience as is usual (exponential), and members answer at once. What the formulas of Erlang are checked by.
 *
 * @param script any; its people, groups and queues have no part in it
 */
export function playHour(
  script: CallScript,
  demand: Demand,
  members: number,
  withinS: number,
  hours: number,
  seed: number,
): PlayedHour {
  const people = Array.from({ length: members }, (_, index): Person => ({
    ...{ ...personDefaults, id: personId.create(`whatif-member-${index}`), name: `Member ${index + 1}` },
    extension: '',
  }));
  const queue: Queue = {
    ...{ ...queueDefaults, id: queueId.create('whatif-hour'), name: 'Queue', entryWords: '', exitKey: null },
    ...{ members: people.map(({ id }) => ({ personId: id, tier: 1 })), order: 'longestFree', mostCallers: 200 },
    ...{ longestWaitSeconds: 3600, placeEverySeconds: null, restSeconds: 0, workingOnly: false },
  };
  const office: CallScript = { ...script, people, groups: [], queues: [queue], callerLists: [], hours: [] };
  const chance = chanceFrom(seed);
  const played = Array.from({ length: hours }, () => oneHour(office, queue, demand, withinS * 1000, chance));
  return {
    within: pooledShare(played.map(({ came: all, within: part }) => ({ part, all }))),
    gaveUp: pooledShare(played.map(({ came: all, gaveUp: part }) => ({ part, all }))),
  };
}

interface Caller {
  readonly atMs: number;
  readonly servedMs: number;
  answeredAtMs: number | null;
}

interface HourCount {
  readonly came: number;
  readonly within: number;
  readonly gaveUp: number;
}

function oneHour(
  script: CallScript,
  queue: Queue,
  { callsPerHour, servedS, patienceS }: Demand,
  withinMs: number,
  chance: () => number,
): HourCount {
  const line = new VirtualLine({ script, staff: () => ({ type: 'answer', afterMs: 0, talkMs: 10 * hourMs }) });
  const callers = new Map<CallId, Caller>();
  if (callsPerHour <= 0) return { came: 0, within: 0, gaveUp: 0 };
  const gapMs = hourMs / callsPerHour;
  for (let atMs = startMs; ;) {
    atMs += Math.max(1, Math.round(exponential(chance, gapMs)));
    if (atMs > startMs + warmUpMs + hourMs) break;
    const id = callId.create(String(callers.size));
    callers.set(id, { atMs, servedMs: Math.round(exponential(chance, servedS * 1000)), answeredAtMs: null });
    line.add({
      type: 'callArrives',
      atMs,
      callId: id,
      callerNumber: '',
      script,
      to: { type: 'queue', queueId: queue.id },
    });
    if (patienceS !== null) hangUp(line, id, atMs + exponential(chance, patienceS * 1000));
  }
  for (let happened = line.next(); happened; happened = line.next()) {
    for (const effect of happened.result.effects) {
      const caller = effect.type === 'forCall' && callers.get(effect.callId);
      if (!caller || effect.effect.type !== 'connect') continue;
      caller.answeredAtMs = happened.result.atMs;
      hangUp(line, effect.callId, happened.result.atMs + caller.servedMs);
    }
  }
  const seen = [...callers.values()].filter(({ atMs }) => atMs >= startMs + warmUpMs);
  const within = seen.filter(({ atMs, answeredAtMs }) => answeredAtMs !== null && answeredAtMs - atMs <= withinMs);
  const gaveUp = seen.filter(({ answeredAtMs }) => answeredAtMs === null);
  return { came: seen.length, within: within.length, gaveUp: gaveUp.length };
}

function hangUp(line: VirtualLine, id: CallId, atMs: number): void {
  line.add({ type: 'ofCall', callId: id, event: { type: 'callerHungUp', atMs: Math.round(atMs) } }, id);
}
