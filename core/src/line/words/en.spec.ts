import { boxId, personId } from '../../directory';
import { attendant, names, noor, office, welcomeId } from '../../testing/boatyard';
import { greetingId, sheetId } from '../ids';
import { describeStep, pathAt, sheetOfSlot, slotsOf, describeSlot, type Step } from '..';

describe('a step in words', () => {
  it.each<[Step, string]>([
    [{ type: 'ring', personId: noor.id, seconds: 18 }, 'ring Noor Haldane for 18 s'],
    [{ type: 'ring', personId: personId.create('gone'), seconds: 18 }, 'ring something deleted for 18 s'],
    [{ type: 'takeMessage', boxId: office.id }, 'take a message in Office'],
    [{ type: 'takeMessage', boxId: boxId.create('gone') }, 'take a message in something deleted'],
    [{ type: 'goTo', sheetId: welcomeId }, 'go to Welcome'],
    [{ type: 'goTo', sheetId: sheetId.create('gone') }, 'go to something deleted'],
    [{ type: 'say', spoken: { type: 'typed', words: 'One moment.' } }, 'say "One moment."'],
    [
      { type: 'say', spoken: { type: 'typed', words: 'One moment, there will be a short silence.' } },
      'say "One moment, there will be a s…"',
    ],
    [{ type: 'say', spoken: { type: 'greeting', greetingId: greetingId.create('gone') } }, 'say something deleted'],
    [{ type: 'sayAgain' }, 'say this menu again'],
    [{ type: 'hangUp', words: 'Goodbye.' }, 'hang up'],
  ])('%o is: %s', (step, words) => expect(describeStep(step, attendant, names)).toBe(words));
});

describe('the places that hold a path', () => {
  const slots = slotsOf(attendant);

  it('are the answering order, then every key and both fallbacks of each menu, and the end of each announcement', () => {
    expect(slots.map((slot) => describeSlot(slot, attendant, names))).toEqual([
      'the answer during Open',
      'the answer at all other times',
      'key 1 of Welcome',
      'key 2 of Welcome',
      'key 9 of Welcome',
      'key # of Welcome',
      'the silence path of Welcome',
      'the wrong-key path of Welcome',
      'what follows Fuel dock',
      'the silence path of After hours',
      'the wrong-key path of After hours',
    ]);
  });

  it('each hold one, and know the sheet they belong to', () => {
    expect(slots.every((slot) => pathAt(attendant, slot) !== undefined)).toBe(true);
    expect(slots.filter((slot) => sheetOfSlot(slot) === welcomeId)).toHaveLength(6);
    expect(pathAt(attendant, { type: 'key', sheetId: welcomeId, key: '5' })).toBeUndefined();
    expect(pathAt(attendant, { type: 'after', sheetId: welcomeId })).toBeUndefined();
    expect(pathAt(attendant, { type: 'silence', sheetId: sheetId.create('gone') })).toBeUndefined();
  });
});
