import fc from 'fast-check';
import type { TakeSays } from '../line';
import { answered, exactGrammar, expectedSentences, slotGrammar, tokensOf, verdictOf, type HeardWord } from '.';

const says = (words: string, more: Partial<TakeSays> = {}): TakeSays => ({ words, options: [], live: [], ...more });
const waysOf = (sentence: string): string[][] => tokensOf(sentence).map(({ ways }) => ways.map((way) => way.join(' ')));

describe('what a recording is expected to say', () => {
  it('is its words sentence by sentence, live parts as they were, options where they stand', () => {
    const menu = says('Thank you for calling {business}. {options} Goodbye.', {
      options: [
        { key: '1', label: 'moorings' },
        { key: '*', label: 'to hear this again' },
      ],
      live: [{ part: { type: 'business' }, said: 'Larkspur Cove' }],
    });
    expect(expectedSentences(menu)).toEqual([
      'Thank you for calling Larkspur Cove.',
      'For moorings, press 1.',
      'To hear this again, press star.',
      'Goodbye.',
    ]);
  });

  it('is one option, where that was recorded by itself', () => {
    expect(expectedSentences(says('', { options: [{ key: '3', label: 'the parts counter' }] }))).toEqual([
      'For the parts counter, press 3.',
    ]);
  });

  it('does not end at Dr., nor in the middle of a time', () => {
    const sentences = expectedSentences(says('Dr. Perrin is in from nine a.m. to five p.m. Please call then.'));
    expect(sentences).toEqual(['Dr Perrin is in from nine a m to five p m Please call then.']);
  });
});

describe('the words of a sentence', () => {
  it('are told as people say them: numbers in every way, marks and accents none', () => {
    expect(waysOf('Café, press 0!')).toEqual([['cafe'], ['press'], ['zero', 'oh']]);
    expect(waysOf('Room 407')).toEqual([['room'], ['four zero seven', 'four oh seven', 'four hundred seven']]);
    expect(waysOf('At 9:30')).toEqual([['at'], ['nine'], ['three zero', 'three oh', 'thirty']]);
    expect(waysOf('in 2026')[1]).toEqual([
      'two zero two six',
      'two oh two six',
      'two thousand twenty six',
      'twenty twenty six',
    ]);
    expect(waysOf('the 4th')).toEqual([['the'], ['fourth']]);
    expect(waysOf('the 22nd')).toEqual([['the'], ['twenty second']]);
  });

  it('are numbers, days, directions and the like where another could stand', () => {
    const kinds = tokensOf('Closed on Friday the 4th of July from five p m').map(({ kind }) => kind);
    expect(kinds).toEqual(['state', null, 'weekday', null, null, null, 'month', null, 'number', 'half', null]);
    const others = tokensOf('We open at noon on the east side').map(({ kind }) => kind);
    expect(others).toEqual([null, 'state', null, 'time', null, null, 'direction', null]);
    expect(tokensOf('You may leave a message').every(({ kind }) => kind === null)).toBe(true);
  });

  it('lead no grammar astray, whatever stands in them', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 30 }), { maxLength: 4 }), (sentences) => {
        const tokens = sentences.map((each) => tokensOf(each));
        for (const { jsgf, words } of [exactGrammar(tokens), slotGrammar(tokens)]) {
          expect(jsgf.split('\n').filter((row) => row.startsWith('public'))).toHaveLength(1);
          expect(words.every((word) => /^[a-z']+$/.test(word))).toBe(true);
          expect(jsgf.split('public')[1]).toMatch(/^ <heard> = [a-z'<>()|[\] +]*;\n$/);
        }
      }),
    );
  });
});

/** Words as a recogniser aligned them, half a second each, each as well as is said. */
function heard(text: string, scored: (word: string) => number = () => -10): readonly HeardWord[] {
  return text.split(' ').map((word, index) => ({
    ...{ word, from: index * 50, until: index * 50 + 50 },
    score: scored(word) * 50,
  }));
}

const sentences = ['For moorings, press 1.', 'For parts, press 2.'];
const tokens = sentences.map((sentence) => tokensOf(sentence));
const exact = 'for moorings press one for parts press two';
const verdict = (hearing: Partial<Parameters<typeof verdictOf>[2]>) =>
  verdictOf(sentences, tokens, { exact: heard(exact), slots: heard(exact), free: [], isNarrow: false, ...hearing });

describe('what listening tells', () => {
  it('is right where every word fits', () => {
    expect(verdict({})).toEqual({ type: 'right' });
  });

  it('is another key where that fits better, with what should have been said', () => {
    const bad = heard(exact, (word) => (word === 'two' ? -30 : -10));
    expect(verdict({ exact: bad, slots: heard('for moorings press one for parts press four') })).toEqual({
      type: 'other',
      parts: [
        { text: 'For moorings, press 1.', insteadOf: null },
        ...['For', 'parts', 'press'].map((text) => ({ text, insteadOf: null })),
        { text: '4', insteadOf: '2' },
      ],
    });
  });

  it('is in doubt where another key fits hardly better', () => {
    const bad = heard(exact, (word) => (word === 'two' ? -12 : -10));
    expect(verdict({ exact: bad, slots: heard('for moorings press one for parts press four') })).toEqual({
      type: 'unclear',
    });
  });

  it('is a sentence left out where the rest fits', () => {
    expect(verdict({ exact: [], slots: heard('for parts press two') })).toMatchObject({
      type: 'other',
      parts: [{ text: '', insteadOf: 'For moorings, press 1.' }, { text: 'For parts, press 2.' }],
    });
  });

  it('is other words where some do not fit, with what was heard there', () => {
    const bad = heard(exact, (word) => (word === 'parts' ? -70 : -10));
    const free = heard('for moorings press one for billing press two');
    const found = verdict({ exact: bad, slots: bad, free });
    expect(found.type).toBe('other');
    const other = found.type === 'other' ? found.parts.filter(({ insteadOf }) => insteadOf !== null) : [];
    expect(other.map(({ text }) => text).join(' ')).toContain('billing');
    expect(other.map(({ insteadOf }) => insteadOf).join(' ')).toContain('parts');
  });

  it('is something else altogether where nothing fits', () => {
    expect(verdict({ exact: [], slots: [], free: heard('the harbour serves lobster') })).toEqual({
      type: 'other',
      parts: [{ text: 'the harbour serves lobster', insteadOf: sentences.join(' ') }],
    });
    expect(verdict({ exact: [], slots: [], free: [] })).toEqual({ type: 'unclear' });
  });

  it('takes no offence at words that are hardly understood but free hearing hears the same', () => {
    const poor = heard(exact, (word) => (word === 'moorings' ? -60 : -10));
    expect(verdict({ exact: poor, slots: poor, free: heard(exact) })).toEqual({ type: 'unclear' });
  });

  it('is more lenient with what came through a telephone', () => {
    const poor = heard(exact, (word) => (word === 'parts' ? -43 : -12));
    expect(verdict({ exact: poor, slots: poor, isNarrow: true })).toEqual({ type: 'right' });
    expect(verdict({ exact: poor, slots: poor, free: heard('nothing of this at all is so') }).type).toBe('other');
  });
});

describe('the manager’s answer', () => {
  it.each([
    ['the fuel dock opens at 9', 'The fuel dock opens at nine.', 'right'],
    ['For parts, press two', 'For parts, press 2.', 'right'],
    ['The fuel dock opens at ten.', 'The fuel dock opens at nine.', 'other'],
    ['Le quai ouvre à neuf heures', 'Le quai ouvre à neuf heures.', 'right'],
  ])('“%s” to “%s” is %s', (answer, words, type) => {
    expect(answered(says(words), answer)).toMatchObject({ type, by: 'manager' });
  });
});
