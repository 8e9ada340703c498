import { idKind } from '../id';
import { noor, priya } from '../testing/boatyard';
import { extensionTakenBy, nextFreeExtension, readPhoneNumber, showPhoneNumber } from '.';

describe('extensions', () => {
  it('are free or taken, the person’s own not counted', () => {
    expect(extensionTakenBy([noor, priya], '204')).toBe(priya);
    expect(extensionTakenBy([noor, priya], '204', priya.id)).toBeUndefined();
    expect(extensionTakenBy([noor, priya], '205')).toBeUndefined();
  });

  it('are proposed from 201 up, filling gaps', () => {
    const taken = ['201', '202', '204'].map((extension) => ({ ...noor, extension }));
    expect(nextFreeExtension(taken)).toBe('203');
    expect(nextFreeExtension([])).toBe('201');
  });
});

describe('telephone numbers', () => {
  it.each([
    ['+1 207 555 0140', '+12075550140'],
    ['(207) 555-0140', '+12075550140'],
    ['+44 20 7946 0958', '+442079460958'],
  ])('%s is kept as %s', (text, number) => expect(readPhoneNumber(text)).toEqual({ ok: true, value: number }));

  it.each(['', 'call me', '12', '+999 1'])('"%s" is none', (text) => expect(readPhoneNumber(text).ok).toBe(false));

  it('are shown in groups', () => {
    expect(showPhoneNumber('+12075550140')).toBe('+1 207 555 0140');
    expect(showPhoneNumber('anonymous')).toBe('anonymous');
  });
});

describe('ids', () => {
  const boat = idKind('boat');

  it('carry their kind and are told from others', () => {
    expect(boat.create('x7')).toBe('boat:x7');
    expect(boat.is('boat:x7')).toBe(true);
    expect(['ship:x7', 'boat:', 'boat:a b', 7, null].some((value) => boat.is(value))).toBe(false);
  });

  it('are not made of just anything', () => expect(() => boat.create('../etc')).toThrow(RangeError));
});
