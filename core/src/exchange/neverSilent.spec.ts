import { groupDefaults, groupId, queueDefaults, queueId, type Group, type Queue } from '../directory';
import { ringDefaults, type Path } from '../line';
import { answering, hours, message, noor, priya, ringFor, wendell } from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';
import { callId, type CallId } from './state';
import type { TransferTo } from '../call';

const group: Group = { ...groupDefaults, id: groupId.create('desk'), name: 'Desk', members: membersOf(priya, wendell) };
const queue: Queue = {
  ...queueDefaults,
  ...{ id: queueId.create('rush'), name: 'Rush', members: membersOf(priya) },
  waiting: [{ type: 'music', seconds: 5 }],
};
const path: Path = [ringFor(noor.id, 30), ...message];
const outside: Path[number] = {
  ...ringDefaults,
  ...{ type: 'ringOutside', seconds: 20, accept: false, to: { type: 'number', number: '+12075550177' } },
};

const officeFor = (way: Path = path): Office =>
  new Office(answering(way, { groups: [group], queues: [queue], hours: [hours] }));

/** Whether a caller hears something now: words, music, ringing, or whoever they talk to. */
function hears(office: Office, call: CallId): boolean {
  const sounding = new Set<string>();
  for (const effect of office.effects) {
    if (effect.type !== 'forCall' || effect.callId !== call) continue;
    const { effect: done } = effect;
    if (done.type === 'play') sounding.add(`play ${done.playId}`);
    if (done.type === 'stopPlaying') sounding.delete(`play ${done.playId}`);
    if (done.type === 'ring' || done.type === 'ringGroup') sounding.add(`ring ${done.ringId}`);
    if (done.type === 'stopRinging') sounding.delete(`ring ${done.ringId}`);
    if (done.type === 'handOver') sounding.add(`ring ${done.handOverId}`);
    if (done.type === 'stopHandOver') sounding.delete(`ring ${done.handOverId}`);
  }
  const phase = office.exchange.calls.get(call)?.state.phase;
  if (!phase || phase.type === 'ended' || phase.type === 'connected' || phase.type === 'recording') return true;
  if ('playId' in phase) return sounding.has(`play ${phase.playId}`);
  if ('ringId' in phase) return sounding.has(`ring ${phase.ringId}`);
  if ('handOverId' in phase) return sounding.has(`ring ${phase.handOverId}`);
  return phase.type === 'menuWaiting';
}

/** Lets time pass in steps of half a second; a caller is never without a sound. */
function listen(office: Office, call: CallId, seconds: number): void {
  for (let passed = 0; passed < seconds; passed += 0.5) {
    expect([office.phase(call), hears(office, call)]).toEqual([office.phase(call), true]);
    office.pass(0.5);
  }
}

describe('a caller', () => {
  it('hears something all the while they are on hold, however long that is', () => {
    const office = officeFor();
    const call = office.call('one');
    office.answer(noor);
    office.do({ type: 'staffHolds', personId: noor.id, on: true });
    expect(office.phase(call)).toBe('onHold');
    listen(office, call, 300);
  });

  it.each<[string, TransferTo]>([
    ['a colleague', { type: 'person', personId: priya.id }],
    ['a group', { type: 'group', groupId: group.id }],
    ['a queue', { type: 'queue', queueId: queue.id }],
  ])('hears something all the while they are transferred to %s, answered there or not', (_, to) => {
    for (const isAnswered of [true, false]) {
      const office = officeFor();
      const call = office.call('one');
      office.answer(noor);
      office.do({ type: 'staffHolds', personId: noor.id, on: true });
      listen(office, call, 10);
      office.do({ type: 'staffTransfers', personId: noor.id, to });
      listen(office, call, 5);
      if (isAnswered) office.answer(priya);
      listen(office, call, 60);
    }
  });

  it('hears something all the while a colleague is asked first whether they take the call', () => {
    const office = officeFor();
    const call = office.call('one');
    office.answer(noor);
    const asked = { colleague: priya.id, callId: callId.create('asked'), script: office.world };
    office.do({ type: 'staffConsults', personId: noor.id, ...asked });
    listen(office, call, 8);
    office.answer(priya);
    listen(office, call, 60);
    office.do({ type: 'staffSendsOn', personId: noor.id });
    expect(office.phase(call)).toBe('connected');
  });

  it('hears something while groups, queues and outside phones are rung', () => {
    const ways: readonly Path[] = [
      [{ ...ringDefaults, type: 'ringGroup', groupId: group.id, seconds: 40 }, ...message],
      [{ type: 'waitInQueue', queueId: queue.id }, ...message],
      [outside, ...message],
    ];
    for (const way of ways) {
      const office = officeFor(way);
      listen(office, office.call('one'), 90);
    }
  });
});
