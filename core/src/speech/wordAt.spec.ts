import fc from 'fast-check';
import { wordAt } from '.';

const wordOf = (text: string, part: number): string => {
  const word = wordAt(text, part);
  return word ? text.slice(word.from, word.to) : '';
};

describe('the word being said', () => {
  it('is the first at the beginning and the last at the end, and past it', () => {
    const text = 'Thank you for calling.';
    expect([0, 0.5, 0.99, 1, 7].map((part) => wordOf(text, part))).toEqual([
      'Thank',
      'for',
      'calling.',
      'calling.',
      'calling.',
    ]);
  });

  it('stays longer with long words and with digits', () => {
    const share = (text: string, word: string): number =>
      Array.from({ length: 200 }, (_, at) => wordOf(text, at / 200)).filter((each) => each === word).length;
    expect(share('a boatyard', 'boatyard')).toBeGreaterThan(2 * share('a boatyard', 'a'));
    expect(share('dial 204', '204')).toBeGreaterThan(share('dial 204', 'dial'));
  });

  it('never goes back, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const places = Array.from({ length: 21 }, (_, at) => wordAt(text, at / 20)?.from ?? 0);
        expect([...places].sort((one, other) => one - other)).toEqual(places);
      }),
    );
  });
});
