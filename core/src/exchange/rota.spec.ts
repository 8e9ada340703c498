import { groupDefaults, groupId, personId, rotaDefaults, type Group, type Rota } from '../directory';
import { instantOf } from '../hours';
import { ringDefaults, type Path } from '../line';
import { answering, hours, message, noor, priya, wendell, zone } from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';

const rota: Rota = { ...rotaDefaults, turns: [noor.id, priya.id, wendell.id], from: '2026-11-16', handoverMin: 480 };
const onCall: Group = {
  ...groupDefaults,
  ...{ id: groupId.create('onCall'), name: 'On call', order: 'onCall', memberSeconds: 20, rota },
  members: membersOf(wendell, noor, priya),
};
const path: Path = [{ ...ringDefaults, type: 'ringGroup', groupId: onCall.id, seconds: null }, ...message];

function officeAt(reading: string, more: Partial<Group> = {}): Office {
  const office = new Office(answering(path, { groups: [{ ...onCall, ...more }], hours: [hours] }));
  office.nowMs = instantOf(reading, zone);
  return office;
}

/** Who is rung one after the other, until nobody is. */
function rungInTurn(office: Office): readonly string[] {
  office.call('one');
  const rung: string[] = [];
  for (let names = office.rung(); names.length > 0; names = office.rung()) {
    rung.push(...names);
    office.pass(20);
  }
  return rung;
}

describe('a group that rings whoever is on call', () => {
  it('begins with whose turn it is, and goes on with whose turn comes next', () => {
    expect(rungInTurn(officeAt('2026-11-23T07:59'))).toEqual(['Noor', 'Priya', 'Wendell']);
    expect(rungInTurn(officeAt('2026-11-23T08:00'))).toEqual(['Priya', 'Wendell', 'Noor']);
  });

  it('rings whoever stands in for them, and them last', () => {
    const swaps = [{ date: '2026-11-25', personId: wendell.id }];
    const on = { rota: { ...rota, swaps } };
    expect(rungInTurn(officeAt('2026-11-25T22:00', on))).toEqual(['Wendell', 'Noor', 'Priya']);
    expect(rungInTurn(officeAt('2026-11-26T08:00', on))[0]).toBe('Priya');
  });

  it('rings nobody else where that is wanted, and goes on with the path', () => {
    const office = officeAt('2026-11-24T03:00', { rota: { ...rota, thenOthers: false } });
    const call = office.call('one');
    expect(office.rung()).toEqual(['Priya']);
    office.decline(priya);
    expect(office.rung()).toEqual([]);
    expect(office.phase(call)).toBe('boxGreeting');
  });

  it('rings its members in their order before the first turn, and while nobody takes one', () => {
    expect(rungInTurn(officeAt('2026-11-10T12:00'))[0]).toBe('Wendell');
    expect(rungInTurn(officeAt('2026-11-24T12:00', { rota: { ...rota, turns: [] } }))[0]).toBe('Wendell');
    expect(rungInTurn(officeAt('2026-11-24T12:00', { rota: null }))[0]).toBe('Wendell');
  });

  it('passes over whoever is on the phone, even if it is their turn', () => {
    const office = officeAt('2026-11-24T12:00');
    office.call('first');
    office.answer(priya);
    office.call('second');
    expect(office.rung()).toEqual(['Wendell']);
  });

  it('rings the others where whoever is on call is a member no more', () => {
    const gone = { rota: { ...rota, turns: [personId.create('gone'), noor.id] } };
    expect(rungInTurn(officeAt('2026-11-17T12:00', gone))[0]).toBe('Noor');
  });
});
