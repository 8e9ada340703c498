import fc from 'fast-check';
import { groupDefaults, groupId, queueDefaults, queueId, type Group, type Queue } from '../directory';
import { answering, everybody, hours, message, openMoment } from '../testing/boatyard';
import { cases } from '../testing/cases';
import type { ExchangeEvent } from './event';
import { laterBy } from './laterBy';
import { simulate, type SimulatedCaller } from './simulate';
import { callId, emptyExchange, type Exchange } from './state';
import { stepExchange } from './stepExchange';

const members = everybody.slice(0, 3).map(({ id }) => ({ personId: id, tier: 1 }));
const group: Group = { ...groupDefaults, id: groupId.create('desk'), name: 'Desk', members, restSeconds: 20 };
const queue: Queue = {
  ...{ ...queueDefaults, id: queueId.create('rush'), name: 'Rush', members },
  ...{ restSeconds: 15, retrySeconds: 10, memberSeconds: 10, longestWaitSeconds: 90, placeEverySeconds: 20 },
};
const script = answering(message, { groups: [group], queues: [queue], hours: [hours] });
/** The hours say the same a week later. */
const weekMs = 7 * 86_400_000;

const callers = fc
  .array(
    fc.record({ seconds: fc.integer({ min: 0, max: 120 }), isQueued: fc.boolean(), hangsUp: fc.option(fc.nat(200)) }),
    {
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((all) =>
    all.map(({ seconds, isQueued, hangsUp }, index): SimulatedCaller => ({
      callId: callId.create(`c${index}`),
      atMs: openMoment + seconds * 1000,
      callerNumber: '+12075550178',
      to: isQueued ? { type: 'queue', queueId: queue.id } : { type: 'group', groupId: group.id },
      acts: hangsUp === null ? [] : [{ type: 'hangUp', afterMs: hangsUp * 1000 }],
    })),
  );

const eventLater = (event: ExchangeEvent, ms: number): ExchangeEvent =>
  event.type === 'ofCall'
    ? { ...event, event: { ...event.event, atMs: event.event.atMs + ms } }
    : { ...event, atMs: event.atMs + ms };

/** Everything that happens on a made-up afternoon, in order. */
function eventsOf(all: readonly SimulatedCaller[], talkSeconds: number): readonly ExchangeEvent[] {
  const events: ExchangeEvent[] = [];
  const talkMs = talkSeconds * 1000;
  simulate({
    ...{ script, callers: all, staff: () => ({ type: 'answer', afterMs: 4000, talkMs }), mostEvents: 1500 },
    watch: (event) => events.push(event),
  });
  return events;
}

it('leaves what happens the same: a line whose clock is set goes on as it would have', () => {
  fc.assert(
    fc.property(
      callers,
      fc.integer({ min: 5, max: 60 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (all, talk, when) => {
        const events = eventsOf(all, talk);
        const setAt = Math.floor(when * events.length);
        let [as, moved]: [Exchange, Exchange] = [emptyExchange, emptyExchange];
        events.forEach((event, index) => {
          if (index === setAt) moved = laterBy(moved, weekMs);
          const isLater = index >= setAt;
          const one = stepExchange(script, as, event);
          const other = stepExchange(script, moved, isLater ? eventLater(event, weekMs) : event);
          expect(other.effects.map(withoutTimes)).toEqual(one.effects.map(withoutTimes));
          [as, moved] = [one.exchange, other.exchange];
        });
        expect(laterBy(moved, setAt < events.length ? -weekMs : 0)).toEqual(as);
      },
    ),
    cases(200),
  );
});

/** What is noted of a moment is of that moment. */
function withoutTimes(effect: object): unknown {
  return JSON.parse(JSON.stringify(effect, (key, value: unknown) => (key === 'atMs' ? undefined : value)));
}
