import fc from 'fast-check';
import { keepSame } from './keepSame';

const sheet = (id: string, words: string) => ({ id, words, options: [{ key: '1', path: [{ type: 'back' }] }] });
const copyOf = <Of>(thing: Of): Of => structuredClone(thing);

describe('what is read again', () => {
  it('is the very same where nothing changed, and only what changed is another', () => {
    const before = { sheets: [sheet('a', 'Hello.'), sheet('b', 'Closed.')], hours: { week: [1, 2] } };
    expect(keepSame(before, copyOf(before))).toBe(before);
    const typed = copyOf(before);
    typed.sheets[1]!.words = 'We are closed.';
    const now = keepSame(before, typed);
    expect(now).not.toBe(before);
    expect([now.sheets[0] === before.sheets[0], now.hours === before.hours]).toEqual([true, true]);
    expect(now.sheets[1]!.options).toBe(before.sheets[1]!.options);
    expect(now.sheets[1]).not.toBe(before.sheets[1]);
  });

  it('knows rows by their ids where one was added, taken out or moved', () => {
    const before = [sheet('a', '1'), sheet('b', '2'), sheet('c', '3')];
    const [a, b, c] = before;
    const now = keepSame(before, [copyOf(c!), sheet('d', '4'), copyOf(a!)]);
    expect([now[0] === c, now[2] === a, now.includes(b!)]).toEqual([true, true, false]);
  });

  it('is equal to what was given, whatever was there before', () => {
    const any = fc.jsonValue({ maxDepth: 4 });
    fc.assert(fc.property(any, any, (before, now) => expect(keepSame(before, now)).toEqual(now)));
    fc.assert(fc.property(any, (value) => expect(keepSame(value, copyOf(value))).toBe(value)));
  });
});
