import fc from 'fast-check';
import { anyScript } from '../testing/anyScript';
import { openMoment } from '../testing/boatyard';
import { keys, takeId } from '../line';
import type { CallEvent, DirectTo } from './event';
import { idleCall, type CallState } from './state';
import { step } from './step';
import type { CallEffect } from './effect';
import { cases } from '../testing/cases';

/** Events in any order, with ids that may be right, late or made up: what a slow network or a wild driver sends. */
const anyEvent: fc.Arbitrary<CallEvent> = fc
  .tuple(
    fc.oneof(
      fc.record({ type: fc.constant('keyPressed' as const), key: fc.constantFrom(...keys) }),
      fc.record({ type: fc.constant('callerSpoke' as const), words: fc.string() }),
      fc.record({ type: fc.constant('playEnded' as const), playId: fc.integer({ min: 0, max: 12 }) }),
      fc.record({ type: fc.constant('timePassed' as const), timerId: fc.integer({ min: 2, max: 12 }) }),
      fc.record({ type: fc.constant('staffAnswered' as const), ringId: fc.integer({ min: 0, max: 12 }) }),
      fc.record({ type: fc.constant('staffBusy' as const), ringId: fc.integer({ min: 0, max: 12 }) }),
      fc.record({ type: fc.constant('staffPressed' as const), key: fc.constantFrom(...keys) }),
      fc.record({ type: fc.constant('staffHungUp' as const) }),
      fc.record({ type: fc.constant('dialled' as const), callerNumber: fc.constant('anonymous') }),
      fc.record({ type: fc.constant('callerHungUp' as const) }),
    ),
    fc.integer({ min: 0, max: 100_000 }),
  )
  .map(([event, afterMs]) => ({ ...event, atMs: openMoment + afterMs }) as CallEvent);

const spoken = { takeId: takeId.create('spoken'), audioId: 'spoken', lengthMs: 2000 };
const finished = fc
  .record({ recordingId: fc.integer({ min: 0, max: 12 }), take: fc.constantFrom(null, spoken) })
  .map((event): CallEvent => ({ ...event, type: 'takeFinished', atMs: openMoment + 50_000 }));
const recorder: DirectTo = { type: 'recorder', of: { name: 'Storm', words: 'We are closed.' } };

const events = fc
  .tuple(fc.array(fc.oneof({ arbitrary: anyEvent, weight: 6 }, finished), { maxLength: 25 }), fc.boolean())
  .map(([list, isOwn]): readonly CallEvent[] => {
    const inTime = [...list].sort((one, other) => one.atMs - other.atMs);
    return [
      { type: 'dialled', atMs: openMoment, callerNumber: '+12075550178', ...(isOwn && { to: recorder }) },
      ...inTime,
    ];
  });

function run(script: Parameters<typeof step>[0], list: readonly CallEvent[]) {
  const effects: CallEffect[] = [];
  const states: CallState[] = [];
  let state: CallState = idleCall;
  for (const event of list) {
    const result = step(script, state, event);
    state = result.state;
    states.push(state);
    effects.push(...result.effects);
  }
  return { effects, states, state };
}

const starts = new Set(['startRecording', 'startCallRecording', 'startTake']);
const stops = new Set(['stopRecording', 'stopCallRecording', 'stopTake', 'finishTake']);

/** What was begun and neither stopped nor reported over. */
function going(effects: readonly CallEffect[], list: readonly CallEvent[]): readonly number[] {
  const ids = new Set<number>();
  for (const effect of effects) {
    if (effect.type === 'play') ids.add(effect.playId);
    if (effect.type === 'ring') ids.add(effect.ringId);
    if (effect.type === 'startTimer') ids.add(effect.timerId);
    if (starts.has(effect.type) && 'recordingId' in effect) ids.add(effect.recordingId);
    if (effect.type === 'stopPlaying') ids.delete(effect.playId);
    if (effect.type === 'stopRinging') ids.delete(effect.ringId);
    if (effect.type === 'stopTimer') ids.delete(effect.timerId);
    if (stops.has(effect.type) && 'recordingId' in effect) ids.delete(effect.recordingId);
  }
  for (const event of list) {
    if (event.type === 'playEnded') ids.delete(event.playId);
    if (event.type === 'timePassed') ids.delete(event.timerId);
  }
  return [...ids];
}

describe('a call that hears anything in any order', () => {
  it('never breaks, and says nothing more once it has ended', () => {
    fc.assert(
      fc.property(anyScript, events, (script, list) => {
        const { states } = run(script, list);
        const end = states.findIndex(({ phase }) => phase.type === 'ended');
        if (end === -1) return;
        for (const event of list) expect(step(script, states[end] as CallState, event).effects).toEqual([]);
      }),
      cases(300),
    );
  });

  it('leaves nothing going when the caller hangs up', () => {
    fc.assert(
      fc.property(anyScript, events, (script, list) => {
        const whole: readonly CallEvent[] = [...list, { type: 'callerHungUp', atMs: openMoment + 200_000 }];
        const { effects, state } = run(script, whole);
        expect(state.phase.type).toBe('ended');
        expect(going(effects, whole)).toEqual([]);
        expect(effects.filter(({ type }) => type === 'hangUp')).toHaveLength(1);
      }),
      cases(300),
    );
  });

  it('gives every play, ring, timer and recording a number of its own', () => {
    fc.assert(
      fc.property(anyScript, events, (script, list) => {
        const given = run(script, list).effects.flatMap((effect) => {
          if (effect.type === 'play') return [effect.playId];
          if (effect.type === 'ring') return [effect.ringId];
          if (effect.type === 'startTimer') return [effect.timerId];
          return starts.has(effect.type) && 'recordingId' in effect ? [effect.recordingId] : [];
        });
        expect(new Set(given).size).toBe(given.length);
      }),
    );
  });

  it('is plain JSON at every step, so that it can be put away and taken up again', () => {
    fc.assert(
      fc.property(anyScript, events, (script, list) => {
        for (const state of run(script, list).states) expect(JSON.parse(JSON.stringify(state))).toEqual(state);
      }),
    );
  });
});
