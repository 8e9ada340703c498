import { boxId, personId } from '../../directory';
import { attendant, harbourMaster, mainLine, message, names, noor, ringFor, welcomeId } from '../../testing/boatyard';
import { greetingId, namedPathId, sheetId } from '../ids';
import { describeStep, pathAt, pathsOf, ringDefaults, sheetOfSlot, slotsOf, describeSlot, type Step } from '..';

describe('a step in words', () => {
  it.each<[Step, string]>([
    [ringFor(noor.id, 18), 'ring Noor Haldane for 18 s'],
    [ringFor(noor.id, null), 'ring Noor Haldane with no limit'],
    [ringFor(personId.create('gone'), 18), 'ring something deleted for 18 s'],
    [
      {
        ...ringDefaults,
        type: 'ringOutside',
        to: { type: 'contact', contactId: harbourMaster.id },
        accept: true,
      },
      'ring Harbour master for 24 s',
    ],
    [{ type: 'handOver', to: { type: 'number', number: '+12075550190' }, before: '' }, 'hand over to +1 207 555 0190'],
    [{ type: 'handOver', to: { type: 'number', number: ' ' }, before: '' }, 'hand over to a number not typed yet'],
    [{ type: 'toLine', lineId: mainLine }, 'hand over to the line something deleted'],
    [{ type: 'back' }, 'go back to the previous menu'],
    [{ type: 'searchByName', by: 'lastName', seconds: 24 }, 'search by name'],
    [{ type: 'askExtension', seconds: 24 }, 'ask for an extension'],
    [{ type: 'followPath', pathId: namedPathId.create('gone') }, 'follow something deleted'],
    [{ type: 'record', on: true, tells: true }, 'record the call from here on'],
    [{ type: 'record', on: false, tells: false }, 'stop recording the call'],
    [message[0] as Step, 'take a message in Office'],
    [
      { type: 'takeMessage', boxId: boxId.create('gone'), beep: null, tell: null },
      'take a message in something deleted',
    ],
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
    expect(pathsOf(attendant)).toEqual(slots.map((slot) => ({ slot, path: pathAt(attendant, slot) })));
    expect(slots.filter((slot) => sheetOfSlot(slot) === welcomeId)).toHaveLength(6);
    expect(pathAt(attendant, { type: 'key', sheetId: welcomeId, key: '5' })).toBeUndefined();
    expect(pathAt(attendant, { type: 'after', sheetId: welcomeId })).toBeUndefined();
    expect(pathAt(attendant, { type: 'silence', sheetId: sheetId.create('gone') })).toBeUndefined();
  });
});
