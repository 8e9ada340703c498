import { boxId } from '../directory';
import { ringDefaults, type Path } from '../line';
import {
  answering,
  hours,
  message,
  moorings,
  noor,
  office as officeBox,
  priya,
  rosalind,
  wendell,
} from '../testing/boatyard';
import { Office } from '../testing/office';
import { deskView } from './deskView';
import { callId } from './state';

const ringNoor: Path = [{ ...ringDefaults, type: 'ring', personId: noor.id, seconds: 18 }, ...message];
const speakers = { ...moorings, speakerCode: '*50' };
const box = { ...officeBox, code: '*20' };
const own = callId.create('own');

let office: Office;
beforeEach(() => {
  office = new Office(answering(ringNoor, { groups: [speakers], boxes: [box], hours: [hours] }));
});

const dials = (digits: string): void =>
  office.do({ type: 'staffDials', personId: wendell.id, digits, callId: own, script: office.world });
const transfer = (to: Parameters<Office['do']>[0] & { type: 'staffTransfers' }): void => office.do(to);

describe('a caller who is to be transferred after a word with the colleague', () => {
  const consults = (): ReturnType<Office['call']> => {
    const call = office.call('one');
    office.answer(noor);
    const { world: script } = office;
    office.do({ type: 'staffConsults', personId: noor.id, colleague: priya.id, callId: own, script });
    return call;
  };
  const sendsOn = (): void => office.do({ type: 'staffSendsOn', personId: noor.id });

  it('is on hold while the colleague is called, and theirs once they are told', () => {
    const call = consults();
    expect([office.phase(call), ...office.rung()]).toEqual(['onHold', 'Priya']);
    office.answer(priya);
    expect(office.doing(noor)).toMatchObject({ type: 'calling', callId: own, held: { callId: call } });
    sendsOn();
    expect(office.phase(call)).toBe('connected');
    expect(office.doing(priya)).toMatchObject({ type: 'talking', callId: call });
    expect(office.doing(noor).type).toBe('nothing');
    expect(office.phase(own)).toBe('ended');
    const transferred = { type: 'transferred', to: { type: 'person', personId: priya.id }, by: noor.id };
    expect(office.transcript(call)).toContainEqual(expect.objectContaining(transferred));
    office.hangUp(priya);
    expect(office.phase(call)).toBe('ended');
  });

  it('is sent on without waiting, and rings there', () => {
    const call = consults();
    sendsOn();
    expect(office.rung()).toEqual(['Priya']);
    expect(office.doing(noor).type).toBe('nothing');
    office.answer(priya);
    expect(office.doing(priya)).toMatchObject({ type: 'talking', callId: call });
  });

  it('is taken back, which ends the call of the colleague', () => {
    const call = consults();
    office.answer(priya);
    office.do({ type: 'staffHolds', personId: noor.id, on: false });
    expect([office.phase(call), office.phase(own)]).toEqual(['connected', 'ended']);
    expect(office.doing(noor)).toMatchObject({ type: 'talking', callId: call });
    expect(office.doing(priya).type).toBe('nothing');
  });

  it('is still on hold when the colleague does not answer or hangs up', () => {
    const call = consults();
    office.decline(priya);
    expect(office.phase(own)).toBe('ended');
    expect(office.doing(noor)).toMatchObject({ type: 'talking', callId: call });
    expect(office.phase(call)).toBe('onHold');
    office.do({ type: 'staffHolds', personId: noor.id, on: false });
    expect(office.phase(call)).toBe('connected');
  });

  it('may hang up meanwhile: the two colleagues go on talking', () => {
    const call = consults();
    office.answer(priya);
    office.tell(call, { type: 'callerHungUp' });
    expect(office.doing(noor)).toMatchObject({ type: 'calling', callId: own, held: null });
    sendsOn();
    expect(office.doing(priya)).toMatchObject({ type: 'talking', callId: own });
    office.hangUp(noor);
    expect([office.doing(noor).type, office.doing(priya).type]).toEqual(['nothing', 'nothing']);
  });

  it('is not put on hold for a call to oneself, nor by somebody who talks to nobody', () => {
    const call = office.call('one');
    const { world: script } = office;
    office.do({ type: 'staffConsults', personId: priya.id, colleague: noor.id, callId: own, script });
    expect(office.doing(priya).type).toBe('nothing');
    office.answer(noor);
    office.do({ type: 'staffConsults', personId: noor.id, colleague: noor.id, callId: own, script });
    expect(office.phase(call)).toBe('connected');
  });
});

describe('a desk phone', () => {
  it('answers, holds, takes back and hangs up', () => {
    const call = office.call('one');
    office.answer(noor);
    office.do({ type: 'staffHolds', personId: noor.id, on: true });
    expect(office.phase(call)).toBe('onHold');
    office.do({ type: 'staffHolds', personId: noor.id, on: false });
    office.hangUp(noor);
    expect(office.phase(call)).toBe('ended');
    expect(office.doing(noor).type).toBe('nothing');
  });

  it('declines, and the caller goes on at once', () => {
    const call = office.call('one');
    office.decline(noor);
    expect(office.phase(call)).toBe('boxGreeting');
  });

  it.each(['busy', 'away'] as const)('that says %s is not rung', (presence) => {
    office.do({ type: 'presenceSet', personId: noor.id, presence });
    const call = office.call('one');
    expect(office.rung()).toEqual([]);
    expect(office.transcript(call)).toContainEqual(expect.objectContaining({ type: 'notAnswered', why: presence }));
  });

  it('transfers a caller to a colleague, and is free at once', () => {
    const call = office.call('one');
    office.answer(noor);
    transfer({ type: 'staffTransfers', personId: noor.id, to: { type: 'person', personId: priya.id } });
    expect(office.doing(noor).type).toBe('nothing');
    expect(office.rung()).toEqual(['Priya']);
    office.answer(priya);
    expect(office.doing(priya)).toMatchObject({ type: 'talking', callId: call });
  });

  it('gets a transferred caller back when the colleague does not answer', () => {
    const call = office.call('one');
    office.answer(noor);
    transfer({ type: 'staffTransfers', personId: noor.id, to: { type: 'person', personId: priya.id } });
    office.decline(priya);
    expect(office.rung()).toEqual(['Noor']);
    office.answer(noor);
    expect(office.phase(call)).toBe('connected');
  });

  it('knows who transferred a caller to whom, also when they come back', () => {
    const call = office.call('one');
    office.answer(noor);
    const to = { type: 'person', personId: priya.id } as const;
    transfer({ type: 'staffTransfers', personId: noor.id, to });
    const shown = (person: typeof noor) => {
      const { doing } = deskView(office.world, office.exchange, person.id, () => null);
      return doing.type === 'rung' || doing.type === 'talking' ? doing.call.transfer : undefined;
    };
    expect(shown(priya)).toEqual({ by: noor.id, to });
    office.decline(priya);
    expect(shown(noor)).toEqual({ by: noor.id, to });
    expect(office.transcript(call)).toContainEqual(expect.objectContaining({ type: 'transferred', to, by: noor.id }));
  });

  it('transfers to a group', () => {
    office.call('one');
    office.answer(noor);
    transfer({ type: 'staffTransfers', personId: noor.id, to: { type: 'group', groupId: speakers.id } });
    expect(office.rung()).toEqual(['Priya']);
  });

  it('dials the extension of a colleague, and both are on the call', () => {
    dials('212');
    expect(office.rung()).toEqual(['Noor']);
    office.answer(noor);
    expect(office.doing(wendell)).toMatchObject({ type: 'calling', callId: own });
    expect(office.exchange.calls.get(own)).toMatchObject({ staffCaller: wendell.id, talkingTo: noor.id });
    office.hangUp(wendell);
    expect(office.doing(noor).type).toBe('nothing');
  });

  it('is told when what it dials is nothing, or itself', () => {
    dials('999');
    dials('205');
    expect(office.effects.filter(({ type }) => type === 'noSuchNumber')).toHaveLength(2);
    expect(office.doing(wendell).type).toBe('nothing');
  });

  it('speaks to all phones of a speaker group that are free, one way', () => {
    office.call('one');
    office.do({ type: 'staffDials', personId: rosalind.id, digits: '*50', callId: own, script: office.world });
    expect(office.doing(rosalind)).toMatchObject({
      type: 'speaking',
      to: [{ phone: { personId: priya.id } }, { phone: { personId: wendell.id } }],
    });
    office.hangUp(rosalind);
    expect(office.doing(rosalind).type).toBe('nothing');
  });

  it('hears the messages of a box after the PIN, marks them and deletes them', () => {
    dials('*20');
    for (const key of ['1', '2', '3', '4', '#'] as const) {
      office.do({ type: 'staffPresses', personId: wendell.id, key });
    }
    const asked = office.effects.flatMap((effect) => (effect.type === 'forCall' ? [effect.effect] : []));
    expect(asked).toContainEqual({ type: 'checkPin', boxId: box.id, pin: '1234' });
    const heard = ['one', 'two'].map((messageId) => ({
      messageId,
      from: '+12075550117',
      audioId: messageId,
      lengthMs: 5000,
    }));
    office.tell(own, { type: 'pinChecked', answer: { type: 'right', messages: heard } });
    office.pass(60);
    const entries = office.transcript(own).filter(({ type }) => type === 'heardMessage');
    expect(entries).toHaveLength(2);
    expect(office.phase(own)).toBe('ended');
  });

  it('is asked again after a wrong PIN, and put off after too many', () => {
    dials('*20');
    for (let attempt = 0; attempt < 3; attempt += 1) {
      for (const key of ['9', '9', '9', '9', '#'] as const) {
        office.do({ type: 'staffPresses', personId: wendell.id, key });
      }
      office.tell(own, { type: 'pinChecked', answer: { type: 'wrong' } });
      while (office.phase(own) === 'saying') office.pass(1);
    }
    expect(office.transcript(own).at(-1)).toMatchObject({ type: 'ended', reason: 'wrongPin' });
  });

  it('is told how long no PIN is tried after too many wrong ones, and let go', () => {
    dials('*20');
    for (const key of ['9', '9', '9', '9', '#'] as const) {
      office.do({ type: 'staffPresses', personId: wendell.id, key });
    }
    office.tell(own, { type: 'pinChecked', answer: { type: 'paused', forMs: 61_000 } });
    while (office.phase(own) === 'saying') office.pass(1);
    const entries = office.transcript(own);
    expect(entries).toContainEqual(expect.objectContaining({ type: 'pin', right: false, pausedMs: 61_000 }));
    expect(entries).toContainEqual(expect.objectContaining({ text: 'Please try again in 2 minutes.' }));
    expect(entries.at(-1)).toMatchObject({ type: 'ended', reason: 'wrongPin' });
  });

  it('that is rung for one call is not rung for another', () => {
    office.call('one');
    const two = office.call('two');
    expect(office.phase(two)).toBe('boxGreeting');
    expect(office.transcript(two)).toContainEqual(expect.objectContaining({ type: 'notAnswered', why: 'busy' }));
  });
});

it('a box that is gone is no box to dial', () => {
  const empty = new Office(answering(ringNoor, { boxes: [{ ...box, id: boxId.create('other'), code: '' }] }));
  empty.do({ type: 'staffDials', personId: wendell.id, digits: '*20', callId: own, script: empty.world });
  expect(empty.effects).toContainEqual(expect.objectContaining({ type: 'noSuchNumber', digits: '*20' }));
});
