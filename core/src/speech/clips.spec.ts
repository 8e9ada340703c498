import fc from 'fast-check';
import { spokenFacts } from '../call';
import { takeId, writePiece, type LivePart } from '../line';
import { line, openMoment, noor, script } from '../testing/boatyard';
import { clipsOf, pauses, plainSentences, sentencesOf, type Sentence, type SpokenFacts } from '.';

const facts: SpokenFacts = { ...spokenFacts(script, line, openMoment), business: 'Larkspur' };
const source = { type: 'line' } as const;
const name = writePiece({ type: 'live', part: { type: 'name', personId: noor.id } });

/** The sentences of words of which these texts are recorded. */
function said(words: string, recorded: readonly string[], more: Partial<SpokenFacts> = {}): readonly Sentence[] {
  const clipOf: SpokenFacts['clipOf'] = (_, text) =>
    recorded.includes(text) ? { id: takeId.create('clip'), audioId: text, lengthMs: 1000, text } : undefined;
  return sentencesOf(words, 'slt', source, { ...facts, ...more, clipOf });
}

/** Recordings in square brackets. */
const heard = (...given: Parameters<typeof said>): readonly string[] =>
  said(...given).map(({ text, recorded }) => (recorded ? `[${text}]` : text));

describe('what can be recorded of words of which a part changes', () => {
  it.each<[string, readonly string[]]>([
    ['Thank you for calling {business}.', ['Thank you for calling']],
    [
      'Hello. You reached {business}, our hours are {week}. Please call back!',
      ['Hello', 'You reached', 'our hours are', 'Please call back'],
    ],
    ['{business}. {opens}', []],
    ['{business} is closed.{pause 1 s}Call {business} is', ['is closed', 'Call', 'is']],
    ['Press 1 now.', []],
    ['Hello. {options} We are {business}.', ['We are']],
    [
      'Dr. Lee and {business} are away; so is St. Clair {pause 0.5 s} and all.',
      ['Dr. Lee and', 'are away; so is St. Clair', 'and all'],
    ],
  ])('of %p is %p', (words, clips) => expect(clipsOf(words, 'en')).toEqual(clips));

  it('is made of whole words', () => {
    expect(clipsOf(`Ask for ${name}’s desk.`, 'en')).toEqual(['Ask for', 'desk']);
    expect(clipsOf('Vous êtes chez l’atelier d’{business}, bonjour.', 'fr')).toEqual([
      'Vous êtes chez l’atelier',
      'bonjour',
    ]);
  });

  it('is each text once', () => expect(clipsOf('We are {business}. We are {today}.', 'en')).toEqual(['We are']));
});

describe('recordings with live parts between them', () => {
  it('are heard where they are, and the voice says the rest', () => {
    const words = 'Thank you for calling {business}. Ask for {name person:x}, or call back.';
    const own = words.replace('{name person:x}', name);
    expect(heard(own, ['Thank you for calling', 'or call back'])).toEqual([
      '[Thank you for calling]',
      'Larkspur.',
      `Ask for ${noor.saidAs || noor.name},`,
      '[or call back]',
    ]);
  });

  it('meet within a breath, and keep the pauses between sentences', () => {
    const pausesOf = (words: string, recorded: readonly string[]): readonly number[] =>
      said(words, recorded).map(({ pauseAfterMs }) => pauseAfterMs);
    const [join, between, last] = pausesOf('We are {business}. Goodbye.', ['We are']);
    expect(join).toBeLessThan(100);
    expect(between).toBe(pauses.betweenSentencesMs);
    expect(last).toBe(pauses.betweenPartsMs);
    const [comma] = pausesOf('Thank you, {business} is closed.', ['Thank you']);
    expect(comma).toBeGreaterThan(join ?? 0);
    expect(pausesOf('We are {business}.{pause 2 s}Bye.', ['We are'])[1]).toBe(2000);
  });

  it('are not heard where no part is recorded, or where nothing in the words changes', () => {
    const words = 'We are {business}.';
    expect(said(words, ['We were'])).toEqual(sentencesOf(words, 'slt', source, facts));
    expect(heard('We are closed.', ['We are closed.'])).toEqual(['We are closed.']);
  });

  it('are left out with a sentence whose live part has nothing to say', () => {
    const words = 'We are closed for {special}. Bye from {business}.';
    expect(heard(words, ['We are closed for', 'Bye from'])).toEqual(['[Bye from]', 'Larkspur.']);
  });

  it('say a name from its recording', () => {
    const spoken = noor.saidAs || noor.name;
    expect(heard(`Ask for ${name}.`, [spoken])).toEqual(['Ask for', `[${spoken}]`]);
    expect(heard(`Ask for ${name} today.`, [spoken])).toEqual(['Ask for', `[${spoken}]`, 'today.']);
  });

  it('say all that the voice would, in that order, whatever is recorded', () => {
    const live: readonly LivePart[] = [
      { type: 'business' },
      { type: 'today', hoursId: null },
      { type: 'week', hoursId: null },
      { type: 'opens', hoursId: null },
      { type: 'special', hoursId: null },
      { type: 'name', personId: noor.id },
      { type: 'extension', personId: noor.id },
    ];
    const pieces = [
      'We are',
      'Please call',
      ', or',
      '. ',
      '.',
      ' at five p.m.',
      '! Goodbye. ',
      ' {pause 1 s} ',
      'Dr. ',
    ];
    const letters = (sentences: readonly { readonly text: string }[]): string =>
      sentences
        .map(({ text }) => text)
        .join('')
        .replace(/[^\p{L}\p{N}]+/gu, '');
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.constantFrom(...pieces),
            fc.constantFrom(...live).map((part) => ` ${writePiece({ type: 'live', part })}`),
          ),
          { maxLength: 9 },
        ),
        fc.array(fc.boolean(), { minLength: 1, maxLength: 5 }),
        (parts, isIn) => {
          const words = parts.join('');
          const clips = clipsOf(words, 'en').filter((_, index) => isIn[index % isIn.length]);
          expect(letters(said(words, clips))).toBe(letters(plainSentences(words, 'slt', facts)));
        },
      ),
      { numRuns: 500 },
    );
  });
});
