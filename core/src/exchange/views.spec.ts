import { ringDefaults, type Path } from '../line';
import { cameBy } from '../call';
import { queueDefaults, queueId, type Queue } from '../directory';
import {
  answering,
  harbourMaster,
  hours,
  message,
  moorings,
  noor,
  priya,
  welcomeId,
  wendell,
} from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';
import { boardOf } from './board';
import { deskView, type DeskView } from './deskView';
import { callId } from './state';

const rush: Queue = {
  ...queueDefaults,
  id: queueId.create('rush'),
  name: 'Rush',
  extension: '',
  order: 'inOrder',
  members: membersOf(noor, priya),
  placeEverySeconds: null,
};
const speakers = { ...moorings, extension: '', speakerCode: '*50', order: 'allAtOnce' as const };

const officeWith = (path: Path): Office =>
  new Office(answering(path, { groups: [speakers], queues: [rush], contacts: [harbourMaster], hours: [hours] }));
const desk = (office: Office, person = noor): DeskView =>
  deskView(office.world, office.exchange, person.id, (id) => cameBy(office.transcript(id)));
const board = (office: Office, most = 100) =>
  boardOf(
    office.exchange,
    office.world.people.map(({ id }) => id),
    (id) => cameBy(office.transcript(id)),
    most,
  );

const ringNoor: Path = [{ ...ringDefaults, type: 'ring', personId: noor.id, seconds: 18 }, ...message];
const toQueue: Path = [{ type: 'waitInQueue', queueId: rush.id }, ...message];

describe('what a desk phone shows', () => {
  it('is nothing while nothing rings, and until when they rest', () => {
    const office = officeWith(toQueue);
    office.world = { ...office.world, queues: [{ ...rush, restSeconds: 30 }] };
    expect(desk(office)).toMatchObject({ presence: 'here', doing: { type: 'nothing', restUntilMs: 0 }, hears: null });
    office.call('one');
    office.answer(noor);
    office.hangUp(noor);
    expect(desk(office).doing).toEqual({ type: 'nothing', restUntilMs: office.nowMs + 30_000 });
  });

  it('is who rings, and since when', () => {
    const office = officeWith(ringNoor);
    const call = office.call('one', '+12075550162');
    const { doing } = desk(office);
    expect(doing).toMatchObject({ type: 'rung', of: null, number: null, isAccepting: false, sinceMs: office.nowMs });
    expect(doing).toMatchObject({
      call: { callId: call, callerNumber: '+12075550162', staffCaller: null, cameBy: null },
    });
  });

  it('is the group or queue a call comes by', () => {
    const office = officeWith([{ ...ringDefaults, type: 'ringGroup', groupId: speakers.id, seconds: null }]);
    office.call('one');
    expect(desk(office, priya).doing).toMatchObject({ type: 'rung', of: speakers.id });
    const queue = officeWith(toQueue);
    queue.call('one');
    expect(desk(queue).doing).toMatchObject({ type: 'rung', of: rush.id });
  });

  it('is the call they are on, on hold or not', () => {
    const office = officeWith(ringNoor);
    office.call('one');
    office.answer(noor);
    expect(desk(office).doing).toMatchObject({ type: 'talking', isOnHold: false });
    office.do({ type: 'staffHolds', personId: noor.id, on: true });
    expect(desk(office).doing).toMatchObject({ type: 'talking', isOnHold: true });
  });

  it('is who waits in their queues, first come first, and nobody else’s queues', () => {
    const office = officeWith(toQueue);
    office.world = { ...office.world, queues: [{ ...rush, order: 'pick' }] };
    office.call('one', '+12075550162');
    office.pass(5);
    office.call('two', '+12075550117');
    const [queue] = desk(office).queues;
    expect(queue?.waiting.map(({ callerNumber }) => callerNumber)).toEqual(['+12075550162', '+12075550117']);
    expect(queue?.waiting.map(({ waitsSinceMs }) => office.nowMs - waitsSinceMs)).toEqual([5000, 0]);
    expect(desk(office, wendell).queues).toEqual([]);
  });

  it('is the call they make, and with whom', () => {
    const office = officeWith(ringNoor);
    const own = callId.create('own');
    office.do({ type: 'staffDials', personId: wendell.id, digits: '212', callId: own, script: office.world });
    expect(desk(office, wendell).doing).toMatchObject({ type: 'calling', phase: 'ringing', talkingTo: null });
    expect(desk(office).doing).toMatchObject({ call: { staffCaller: wendell.id } });
    office.answer(noor);
    expect(desk(office, wendell).doing).toMatchObject({ type: 'calling', phase: 'connected', talkingTo: noor.id });
  });

  it('is who speaks to their phone', () => {
    const office = officeWith(ringNoor);
    const own = callId.create('own');
    office.do({ type: 'staffDials', personId: noor.id, digits: '*50', callId: own, script: office.world });
    expect(desk(office).doing).toMatchObject({ type: 'speaking', to: [priya.id, wendell.id] });
    expect(desk(office, priya).hears).toBe(noor.id);
  });
});

describe('the switchboard', () => {
  it('shows each call with what it does, who rings and who talks', () => {
    const office = officeWith(ringNoor);
    office.call('one');
    expect(board(office).calls).toMatchObject([{ phase: 'ringing', rung: [{ personId: noor.id }], talkingTo: null }]);
    office.answer(noor);
    expect(board(office).calls).toMatchObject([{ phase: 'connected', rung: [], talkingTo: noor.id }]);
    expect(board(office).staff).toContainEqual({ personId: noor.id, presence: 'here', doing: 'talking' });
    office.hangUp(noor);
    expect(board(office)).toMatchObject({ calls: [], callsInAll: 0 });
  });

  it('shows outside phones that ring and that talk', () => {
    const to = { type: 'contact', contactId: harbourMaster.id } as const;
    const office = officeWith([{ ...ringDefaults, type: 'ringOutside', to, accept: false, seconds: 18 }, ...message]);
    const call = office.call('one');
    const phone = { type: 'outside', contactId: harbourMaster.id };
    expect(board(office).calls[0]).toMatchObject({ rung: [phone], outside: null });
    const phase = office.exchange.calls.get(call)?.state.phase;
    office.tell(call, { type: 'staffAnswered', ringId: phase?.type === 'ringing' ? phase.ringId : 0 });
    expect(board(office).calls[0]).toMatchObject({ rung: [], outside: phone });
  });

  it('shows queues with waits, and by whom the first in line is rung', () => {
    const office = officeWith(toQueue);
    office.call('one');
    office.pass(3);
    office.call('two');
    const { calls, queues } = board(office);
    expect(queues).toEqual([{ queueId: rush.id, waitsSinceMs: [office.nowMs - 3000, office.nowMs] }]);
    expect(calls[0]).toMatchObject({ queueId: rush.id, rung: [{ personId: noor.id }, { personId: priya.id }] });
  });

  it('shows the first of many, and how many there are', () => {
    const office = officeWith(message);
    for (let count = 0; count < 7; count += 1) office.call(`c${count}`);
    expect(board(office, 3)).toMatchObject({ callsInAll: 7, calls: [{}, {}, {}] });
    expect(board(office, 3).calls).toHaveLength(3);
  });

  it('knows by which menu and key a call came', () => {
    const path: Path = [{ type: 'goTo', sheetId: welcomeId }];
    const office = officeWith(path);
    const call = office.call('one');
    expect(board(office).calls[0]).toMatchObject({ cameBy: { sheetId: welcomeId, key: null } });
    office.tell(call, { type: 'keyPressed', key: '1' });
    expect(board(office).calls[0]).toMatchObject({ cameBy: { sheetId: welcomeId, key: '1' } });
  });
});
