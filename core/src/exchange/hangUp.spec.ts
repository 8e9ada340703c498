import fc from 'fast-check';
import { queueDefaults, queueId, ringingOrders, type Queue } from '../directory';
import { ringDefaults, type Path } from '../line';
import { answering, everybody, hours, juno, message, moorings, noor } from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';
import type { CallId } from './state';
import { cases } from '../testing/cases';

const rush: Queue = {
  ...queueDefaults,
  id: queueId.create('rush'),
  name: 'Rush',
  extension: '',
  members: membersOf(...everybody),
};

/** What a caller may be in the middle of. */
const paths: Readonly<Record<string, Path>> = {
  'a person rung': [{ ...ringDefaults, type: 'ring', personId: juno.id, seconds: 40 }, ...message],
  'a group rung': [{ ...ringDefaults, type: 'ringGroup', groupId: moorings.id, seconds: 60 }, ...message],
  'a queue': [{ type: 'waitInQueue', queueId: rush.id }, ...message],
  'a recorded call': [{ type: 'record', on: true, tells: true }, { type: 'waitInQueue', queueId: rush.id }, ...message],
  'a message': message,
};

/** What is still under way for a call, by what was asked and not taken back. */
function stillGoing(office: Office, id: CallId): readonly string[] {
  const going = new Set<string>();
  for (const each of office.effects) {
    if (each.type !== 'forCall' || each.callId !== id) continue;
    const { effect } = each;
    if (effect.type === 'startRecording' || effect.type === 'startCallRecording')
      going.add(`recording ${effect.recordingId}`);
    if (effect.type === 'stopRecording' || effect.type === 'stopCallRecording')
      going.delete(`recording ${effect.recordingId}`);
    if (effect.type === 'ring' || effect.type === 'ringGroup') going.add(`ring ${effect.ringId}`);
    if (effect.type === 'stopRinging') going.delete(`ring ${effect.ringId}`);
    if (effect.type === 'connect') for (const name of going) if (name.startsWith('ring')) going.delete(name);
    if (effect.type === 'enterQueue') going.add(`wait ${effect.waitId}`);
    if (effect.type === 'leaveQueue') going.delete(`wait ${effect.waitId}`);
  }
  return [...going];
}

describe('a caller who hangs up at any instant', () => {
  it.each(Object.keys(paths))('leaves nothing ringing, waiting, recorded or timed: %s', (name) => {
    const any = fc.record({
      afterSeconds: fc.integer({ min: 0, max: 260 }),
      groupOrder: fc.constantFrom(...ringingOrders),
      queueOrder: fc.constantFrom(...ringingOrders, 'pick' as const),
      /** Who answers, and after how many seconds. */
      answers: fc.option(fc.record({ who: fc.constantFrom(...everybody), seconds: fc.integer({ min: 0, max: 60 }) })),
      holds: fc.boolean(),
    });
    fc.assert(
      fc.property(any, ({ afterSeconds, groupOrder, queueOrder, answers, holds }) => {
        const groups = [{ ...moorings, order: groupOrder }];
        const queues = [{ ...rush, order: queueOrder }];
        const office = new Office(answering(paths[name] ?? message, { groups, queues, hours: [hours] }));
        const call = office.call('one');
        const first = Math.min(afterSeconds, answers?.seconds ?? Infinity);
        office.pass(first);
        if (answers && answers.seconds <= afterSeconds) {
          office.answer(answers.who);
          if (holds) office.do({ type: 'staffHolds', personId: answers.who.id, on: true });
        }
        office.pass(afterSeconds - first);
        office.tell(call, { type: 'callerHungUp' });
        expect(stillGoing(office, call)).toEqual([]);
        expect(office.exchange.calls.size).toBe(0);
        expect(office.rung()).toEqual([]);
        expect([...office.exchange.queues.values()].flatMap(({ waiting }) => waiting)).toEqual([]);
        expect(everybody.map((person) => office.doing(person).type)).toEqual(everybody.map(() => 'nothing'));
        const ended = office.transcript(call).filter(({ type }) => type === 'ended');
        expect(ended).toHaveLength(1);
        // Nothing that was timed brings the call back, and the line works on.
        office.pass(600);
        expect(office.transcript(call).at(-1)?.type).toBe('ended');
        expect(office.phase(office.call('two'))).not.toBe('ended');
      }),
      cases(150),
    );
  });

  it('frees whoever was about to take the call, who is then rung for the next', () => {
    const office = new Office(
      answering(paths['a queue'] ?? message, { queues: [{ ...rush, order: 'inOrder', members: membersOf(noor) }] }),
    );
    const [one, two] = [office.call('one'), office.call('two')];
    office.tell(one, { type: 'callerHungUp' });
    expect(office.rung()).toEqual(['Noor']);
    office.answer(noor);
    expect(office.phase(two)).toBe('connected');
  });
});
