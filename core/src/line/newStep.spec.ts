import { boxId, contactId, groupId, personId } from '../directory';
import { everybody, junosBox, moorings, office, priya, ringFor } from '../testing/boatyard';
import { isUnchosen, lineId, newStep, refersTo, sheetId, type Around, type Step } from '.';

const nothing: Around = {
  instead: null,
  near: [],
  there: { groups: [], queues: [], boxes: [], contacts: [], lines: [], sheets: [], paths: [] },
};
const there = (more: Partial<Around['there']>): Around['there'] => ({ ...nothing.there, ...more });
const message = (id: typeof office.id): Step => ({ type: 'takeMessage', boxId: id, beep: null, tell: null });

describe('a new step', () => {
  it.each(['ring', 'ringGroup', 'waitInQueue', 'toLine', 'takeMessage', 'goTo', 'followPath'] as const)(
    'to %s leaves to be chosen what it leads to, whatever there is',
    (type) => {
      const two = <Made>(create: (random: string) => Made) => ['a', 'b'].map(create);
      const many = there({
        groups: two(groupId.create),
        boxes: two(boxId.create),
        lines: two(lineId.create),
        sheets: two(sheetId.create),
      });
      for (const choices of [nothing.there, many]) {
        expect(refersTo(newStep(type, { ...nothing, there: choices })).map(isUnchosen)).toEqual([true]);
      }
    },
  );

  it('leads to the only one there is, but never rings somebody unasked', () => {
    const one = there({ groups: [moorings.id], boxes: [office.id], sheets: [sheetId.create('a')] });
    expect(newStep('ringGroup', { ...nothing, there: one })).toMatchObject({ groupId: moorings.id });
    expect(newStep('takeMessage', { ...nothing, there: one })).toMatchObject({ boxId: office.id });
    expect(newStep('goTo', { ...nothing, there: one })).toMatchObject({ sheetId: sheetId.create('a') });
    expect(isUnchosen((newStep('ring', { ...nothing, there: one }) as { personId: string }).personId)).toBe(true);
  });

  it('takes messages in the box that is used nearest by, if that is still there', () => {
    const near = [message(boxId.create('gone')), ringFor(priya.id, 24), message(junosBox.id), message(office.id)];
    const boxes = [office.id, junosBox.id];
    expect(newStep('takeMessage', { ...nothing, near, there: there({ boxes }) })).toMatchObject({ boxId: junosBox.id });
  });

  it('keeps what fits of the step whose place it takes', () => {
    const instead: Step = { ...ringFor(priya.id, 42), before: 'One moment.', hear: { type: 'music' } } as Step;
    const kept = { before: 'One moment.', hear: { type: 'music' } };
    expect(newStep('ringOutside', { ...nothing, instead })).toMatchObject({ ...kept, seconds: 42 });
    expect(newStep('ringGroup', { ...nothing, instead })).toMatchObject({ ...kept, seconds: null });
    expect(newStep('handOver', { ...nothing, instead })).toMatchObject({ before: 'One moment.' });
    expect(newStep('searchByName', { ...nothing, instead })).toMatchObject({ seconds: 42 });
    const to = { type: 'contact' as const, contactId: contactId.create('harbour') };
    const over: Step = { type: 'handOver', to, before: '' };
    expect(newStep('ringOutside', { ...nothing, instead: over })).toMatchObject({ to, seconds: 24 });
    expect(
      newStep('hangUp', { ...nothing, instead: { type: 'say', spoken: { type: 'typed', words: 'Bye.' } } }),
    ).toEqual({
      type: 'hangUp',
      words: 'Bye.',
    });
    expect(newStep('say', { ...nothing, instead: { type: 'hangUp', words: 'Bye.' } })).toMatchObject({
      spoken: { words: 'Bye.' },
    });
  });
});

describe('what is not chosen yet', () => {
  it('is nobody there is', () => {
    expect(everybody.some(({ id }) => isUnchosen(id))).toBe(false);
    expect(isUnchosen(personId.create('none'))).toBe(true);
  });
});
