import { compareHeard, describeHeard, grammarOf, heardOptions, writtenFrom, type Listened } from '.';

const menu: Listened = {
  options: [
    { key: '1', label: 'moorings & dock space' },
    { key: '2', label: 'to leave your boat’s name' },
    { key: '*', label: 'pier 31' },
  ],
  sentences: ['Thank you for calling Larkspur Cove Boatyard.', 'Or stay on the line, s’il vous plaît!'],
};

describe('listening to a menu', () => {
  it('expects each option with any key, and the sentences, in plain words', () => {
    const { jsgf, words } = grammarOf(menu);
    expect(jsgf).toContain('#JSGF V1.0;');
    expect(jsgf).toContain("( moorings and dock space | leave your boat's name | pier three one ) press <key>");
    expect(jsgf).toContain('thank you for calling larkspur cove boatyard');
    expect(words).toEqual(expect.arrayContaining(['moorings', 'three', 'star', "boat's", 'plait']));
    expect(words.every((word) => /^[a-z']+$/.test(word))).toBe(true);
  });

  it('cannot be led astray by what stands in a label', () => {
    const { jsgf } = grammarOf({ options: [{ key: '1', label: '); <x> = {evil}; public <y> = (' }], sentences: [';'] });
    expect(jsgf.split('\n').filter((row) => row.startsWith('public'))).toHaveLength(1);
    expect(jsgf).toContain('( x evil public y )');
  });

  it('finds which key was said for what, however the lines fall', () => {
    const heard = heardOptions(
      ['for moorings and dock space press one', "to leave your boat's name", 'press four', 'pier three one press star'],
      menu,
    );
    expect([...heard.values()]).toEqual(['1', '4', '*']);
    expect(heardOptions(['nothing of this'], menu).size).toBe(0);
  });

  it('writes what was heard as sentences, keys as digits', () => {
    expect(writtenFrom(['for moorings press one', 'or press star'])).toBe('For moorings press 1. Or press star.');
    expect(writtenFrom([])).toBe('');
  });

  it('tells what is right, wrong and not heard, and where it is in doubt', () => {
    const once = heardOptions(["for moorings and dock space press one leave your boat's name press four"], menu);
    const again = heardOptions(["for moorings and dock space press nine leave your boat's name press four"], menu);
    expect(compareHeard([once, again], menu)).toEqual([
      { type: 'right', key: '1', label: 'moorings & dock space', isSure: false },
      { type: 'wrongKey', key: '2', label: 'to leave your boat’s name', heard: '4', isSure: true },
      { type: 'notHeard', key: '*', label: 'pier 31' },
    ]);
    expect(compareHeard([once, again], menu).map(describeHeard)).toEqual([
      'Press 1 for moorings & dock space: probably heard.',
      'Heard “press 4” to leave your boat’s name, which is key 2.',
      'Press * for pier 31: not heard.',
    ]);
  });
});
