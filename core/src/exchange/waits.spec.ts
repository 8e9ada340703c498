import fc from 'fast-check';
import { transcriptOf } from '../call';
import { queueDefaults, queueId, type Queue } from '../directory';
import { answering, everybody, hours, message, openMoment } from '../testing/boatyard';
import { membersOf } from '../testing/office';
import { chanceFrom, exponential } from '../traffic';
import { simulate } from './simulate';
import { callId } from './state';
import { cases } from '../testing/cases';

const rush: Queue = {
  ...queueDefaults,
  id: queueId.create('rush'),
  name: 'Rush',
  entryWords: '',
  placeEverySeconds: null,
  mostCallers: 200,
  longestWaitSeconds: 3600,
};

interface Rush {
  readonly arrivesMs: readonly number[];
  readonly talksMs: readonly number[];
  readonly members: number;
  readonly queue: Partial<Queue>;
}

interface Wait {
  readonly waitedMs: number;
  readonly why: string;
}

/** How long each caller waited, by the exchange, where members answer at once. */
function waitsOf({ arrivesMs, talksMs, members, queue }: Rush): readonly Wait[] {
  const to = { type: 'queue', queueId: rush.id } as const;
  const people = Array.from(
    { length: members },
    (_, at) => ({ ...everybody[0], id: `person:m${at}`, extension: `4${at}` }) as (typeof everybody)[0],
  );
  const waits = new Map<string, Wait>();
  let answered = 0;
  simulate({
    script: answering(message, {
      people,
      queues: [{ ...rush, ...queue, members: membersOf(...people) }],
      hours: [hours],
    }),
    callers: arrivesMs.map((atMs, at) => ({
      callId: callId.create(`c${at}`),
      atMs: openMoment + atMs,
      callerNumber: 'anonymous',
      acts: [],
      to,
    })),
    staff: () => ({ type: 'answer', afterMs: 0, talkMs: talksMs[answered++] ?? 1000 }),
    watch: (_, { effects, atMs }) => {
      for (const each of effects) {
        if (each.type !== 'forCall') continue;
        const left = transcriptOf([each.effect], atMs).find((entry) => entry.type === 'leftQueue');
        if (left?.type === 'leftQueue') waits.set(each.callId, { waitedMs: left.waitedMs, why: left.why });
      }
    },
  });
  return arrivesMs.map((_, at) => waits.get(callId.create(`c${at}`)) ?? { waitedMs: -1, why: 'never left' });
}

/**
 * The same told a second time, without any machine: each caller takes the first of the members to be free, who talks
 * and rests; a caller for whom there is no room, or for whom nobody is free in time, goes.
 */
function waitsToldAgain({ arrivesMs, talksMs, members, queue }: Rush): readonly Wait[] {
  const { mostCallers, longestWaitSeconds, restSeconds } = { ...rush, ...queue };
  const freeMs = Array.from({ length: members }, () => 0);
  const leaves: number[] = [];
  let served = 0;
  return arrivesMs.map((atMs): Wait => {
    const waiting = leaves.filter((leaveMs) => leaveMs > atMs).length;
    if (waiting >= mostCallers) return { waitedMs: 0, why: 'full' };
    const next = freeMs.indexOf(Math.min(...freeMs));
    const startMs = Math.max(atMs, freeMs[next] ?? 0);
    const limitMs = longestWaitSeconds * 1000;
    if (startMs - atMs > limitMs) {
      leaves.push(atMs + limitMs);
      return { waitedMs: limitMs, why: 'tooLong' };
    }
    leaves.push(startMs);
    freeMs[next] = startMs + (talksMs[served++] ?? 1000) + restSeconds * 1000;
    return { waitedMs: startMs - atMs, why: 'answered' };
  });
}

/**
 * No two things happen in the same millisecond: each caller arrives so many thousandths after a whole second as callers
 * came before, and everything else lasts whole seconds.
 */
const anyRush: fc.Arbitrary<Rush> = fc
  .record({
    arrivesSeconds: fc.array(fc.integer({ min: 0, max: 1200 }), { minLength: 1, maxLength: 40 }),
    talksSeconds: fc.array(fc.integer({ min: 1, max: 180 }), { minLength: 40, maxLength: 40 }),
    members: fc.integer({ min: 1, max: 4 }),
    queue: fc.record({
      order: fc.constantFrom('inOrder' as const, 'takingTurns' as const, 'longestFree' as const),
      restSeconds: fc.integer({ min: 0, max: 30 }),
      mostCallers: fc.integer({ min: 1, max: 6 }),
      longestWaitSeconds: fc.integer({ min: 10, max: 240 }),
    }),
  })
  .map(({ arrivesSeconds, talksSeconds, ...rest }) => ({
    ...rest,
    arrivesMs: [...arrivesSeconds].sort((one, other) => one - other).map((seconds, at) => 1000 * seconds + at),
    talksMs: talksSeconds.map((seconds) => 1000 * seconds),
  }));

describe('waits in a queue', () => {
  it('are those that the rules give when they are told a second time', () => {
    fc.assert(
      fc.property(anyRush, (any) => expect(waitsOf(any)).toEqual(waitsToldAgain(any))),
      cases(1500),
    );
  });

  it.each([
    [2, 0.7],
    [4, 0.85],
  ])('of %d members, at work %d of the time, agree with Erlang C', (members, load) => {
    const meanTalkMs = 120_000;
    const ratePerMs = (load * members) / meanTalkMs;
    const chance = chanceFrom(20_261_123);
    const batches = Array.from({ length: 24 }, () => {
      let clockMs = 0;
      const arrivesMs = Array.from(
        { length: 500 },
        () =>
          // An odd one: everything else happens at even ones.
          2 * Math.round((clockMs += exponential(chance, 1 / ratePerMs)) / 2) + 1,
      );
      const talksMs = arrivesMs.map(() => 2 * Math.round(exponential(chance, meanTalkMs) / 2));
      // The line is empty at the beginning of a batch; its first callers are left out.
      const waits = waitsOf({ arrivesMs, talksMs, members, queue: {} }).slice(100);
      return waits.reduce((sum, { waitedMs }) => sum + waitedMs, 0) / waits.length;
    });
    const mean = batches.reduce((sum, each) => sum + each, 0) / batches.length;
    const variance = batches.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (batches.length - 1);
    const halfWidth = 2.81 * Math.sqrt(variance / batches.length);
    expect(Math.abs(mean - erlangCWaitMs(members, load, meanTalkMs))).toBeLessThan(halfWidth);
    expect(halfWidth).toBeLessThan(mean / 2);
  });
});

/** The mean wait of a queue with random arrivals and talks: Erlang C over what is left of the members' time. */
function erlangCWaitMs(members: number, load: number, meanTalkMs: number): number {
  const offered = load * members;
  let term = 1;
  let sum = 1;
  for (let k = 1; k < members; k += 1) sum += term *= offered / k;
  const all = (term * offered) / members / (1 - load);
  return ((all / (sum + all)) * meanTalkMs) / (members * (1 - load));
}
