import { idKind } from '../id';
import { everybody, noor, priya, rosalind, slipHolders, wendell } from '../testing/boatyard';
import {
  extensionPlan,
  extensionTakenBy,
  findByKeypad,
  freeFirstDigits,
  isInList,
  keysOfName,
  nextFreeExtension,
  personId,
  readCallerPattern,
  readKeypad,
  readPhoneNumber,
  renumbered,
  showPhoneNumber,
  spellingsOf,
  type Person,
} from '.';

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
  ])('%s is kept as %s', (text, number) => expect(readPhoneNumber(text, 'US')).toEqual({ ok: true, value: number }));

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

describe('the extension plan', () => {
  const plan = extensionPlan(
    ['201', '202', '205', '205', '214', '20', '2145'].map((extension, index) => ({
      id: personId.create(String(index)),
      name: `Person ${index}`,
      extension,
    })),
  );

  it('shows runs, gaps, doubles, those that begin with another, and the next free one', () => {
    expect(plan.runs).toEqual([
      { from: '20', to: '20' },
      { from: '201', to: '202' },
      { from: '205', to: '205' },
      { from: '214', to: '214' },
      { from: '2145', to: '2145' },
    ]);
    expect(plan.gaps).toEqual([
      { from: '203', to: '204' },
      { from: '206', to: '213' },
    ]);
    expect(plan.doubles.map(({ extension, people }) => [extension, people.length])).toEqual([['205', 2]]);
    expect(plan.beginnings).toEqual([
      { extension: '20', longer: ['201', '202', '205'] },
      { extension: '214', longer: ['2145'] },
    ]);
    expect(plan.nextFree).toBe('203');
  });

  it('gives everybody another first digit', () => {
    expect([...renumbered(everybody, '2', '7').values()]).toEqual(['712', '704', '706', '705', '730']);
    expect(freeFirstDigits(everybody)).toEqual(['3', '4', '5', '6', '7', '8', '9']);
  });
});

describe('names on the keypad', () => {
  const called = (name: string, more: Partial<Person> = {}): Person => ({ ...noor, name, ...more });

  it.each([
    ['Haldane', '4253263'],
    ['O’Dowd', '63693'],
    ["O'Dowd", '63693'],
    ['Pemberton-Roy', '736237866769'],
    ['Müller', '685537'],
    ['Åse Øyen', '2736936'],
    ['Straße', '7872773'],
    ['Łukasz', '585279'],
    ['李', ''],
  ])('%s is %s', (name, pressed) => expect(keysOfName(name)).toBe(pressed));

  it.each([
    ['Mateo O’Dowd', 'lastName', ['636']],
    ['Mateo O’Dowd', 'firstName', ['628']],
    ['Mateo O’Dowd', 'eitherName', ['628', '636']],
    ['Ana van der Berg', 'lastName', ['826', '237']],
    ['Odile', 'lastName', ['634']],
    ['Wu Li', 'lastName', ['54']],
    // With the letter that is not on the keys left plain, and written as two.
    ['Jonas Jäger', 'lastName', ['524', '523']],
    ['Ida Weiß', 'lastName', ['934']],
    ['Søren Ågård', 'lastName', ['242', '224']],
    ['Eva Müller-Lüdenscheidt', 'lastName', ['685', '683', '583']],
    ['Hans-Peter Vogel', 'firstName', ['426', '738']],
  ] as const)('%s is found by %s with %j', (name, part, found) => {
    expect(spellingsOf(called(name), part)).toEqual(found);
  });

  it('are searched by as many letters as were pressed', () => {
    const people = [called('Wu Li'), called('Rosalind Achterberg'), called('Wendell Achterberg')];
    const found = (pressed: string) => findByKeypad(people, pressed, 'lastName').map(({ name }) => name);
    expect(found('224')).toEqual(['Rosalind Achterberg', 'Wendell Achterberg']);
    expect(found('54')).toEqual(['Wu Li']);
    expect(found('5')).toEqual(['Wu Li']);
    expect(found('999')).toEqual([]);
    expect(found('')).toEqual([]);
  });

  it('are read for the manager: who collides, who cannot be found, who is left out', () => {
    const li = called('李', { id: personId.create('li') });
    const hidden = { ...noor, inDirectory: false };
    const report = readKeypad(
      [hidden, wendell, rosalind, li, { ...li, id: personId.create('lee'), saidAs: 'Lee' }],
      'lastName',
    );
    expect(report.collisions).toEqual([{ keys: '224', people: [wendell.id, rosalind.id] }]);
    expect(report.unfindable).toEqual([li.id]);
    expect(report.leftOut).toEqual([noor.id]);
  });
});

describe('lists of callers', () => {
  it.each([
    ['+1 207 555 0178', '+12075550178'],
    ['(207) 555-0178', '+12075550178'],
    ['+1 (207) *', '+1207*'],
  ])('take "%s" as %s', (text, pattern) => expect(readCallerPattern(text, 'US')).toEqual({ ok: true, value: pattern }));

  it.each(['', '*', '207*', 'nobody', '+1 207 5x*'])('refuse "%s"', (text) =>
    expect(readCallerPattern(text).ok).toBe(false),
  );

  it('hold whole numbers, beginnings of numbers and, if wanted, those who hide theirs', () => {
    expect(isInList(slipHolders, '+12075550171')).toBe(true);
    expect(isInList(slipHolders, '+12075550189')).toBe(true);
    expect(isInList(slipHolders, '+12075550172')).toBe(false);
    expect(isInList(slipHolders, 'anonymous')).toBe(false);
    expect(isInList({ ...slipHolders, anonymous: true }, 'anonymous')).toBe(true);
  });
});
