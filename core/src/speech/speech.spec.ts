import { spokenFacts } from '../call';
import { attendant, line, openMoment, script, welcomeId } from '../testing/boatyard';
import { findSheet, newAnnouncement, sheetId, type Language, type Menu } from '../line';
import {
  estimateMs,
  estimateSentencesMs,
  phrasesOf,
  understand,
  pauses,
  sheetSentences,
  splitSentences,
  timeSentences,
  totalMs,
} from '.';

const welcome = findSheet(attendant, welcomeId) as Menu;
const facts = spokenFacts(script, line, openMoment);

describe('the words of a menu', () => {
  it('are its opening words, a line for each key that is read out, and its closing words', () => {
    expect(sheetSentences(welcome, 'slt', facts).map(({ text }) => text)).toEqual([
      'Thank you for calling the boatyard.',
      'For moorings, press 1.',
      'For the fuel dock, press 2.',
      'To hear this again, press 9.',
      'Or stay on the line.',
    ]);
  });

  it('cannot disagree with the keys: another key, another order, other words', () => {
    const [first, ...others] = welcome.options;
    const moved = { ...welcome, options: [...others, { ...first, key: '5' }] as Menu['options'] };
    const texts = sheetSentences(moved, 'slt', facts).map(({ text }) => text);
    expect(texts).not.toContain('For moorings, press 1.');
    expect(texts.indexOf('For moorings, press 5.')).toBe(3);
  });

  it('leave out an option that is not read out or has no label', () => {
    const silent = { ...welcome, options: welcome.options.map((option) => ({ ...option, label: ' ' })) };
    expect(sheetSentences(silent, 'slt', facts)).toHaveLength(2);
  });

  it('lead back to where each was written', () => {
    const sources = sheetSentences(welcome, 'slt', facts).map(({ source }) => source);
    expect(sources[0]).toEqual({ type: 'words', sheetId: welcomeId, part: 'openingWords' });
    expect(sources[2]).toEqual({ type: 'option', sheetId: welcomeId, key: '2' });
  });

  it.each([
    ['moorings', '1', 'For moorings, press 1.'],
    ['for moorings', '1', 'For moorings, press 1.'],
    ['to leave a message', '0', 'To leave a message, press 0.'],
    ['help!', '*', 'For help, press star.'],
    ['tomorrow’s tide', '#', 'For tomorrow’s tide, press pound.'],
  ] as const)('read "%s" on key %s as: %s', (label, key, says) =>
    expect(phrasesOf('slt').option(label, key)).toBe(says),
  );

  it.each([
    ['frWoman', 'pour les amarrages', '*', 'Pour les amarrages, appuyez sur étoile.'],
    ['frMan', 'les amarrages', '1', 'Pour les amarrages, appuyez sur 1.'],
    ['esWoman', 'los amarres', '#', 'Para los amarres, pulse almohadilla.'],
    ['deMan', 'Liegeplätze', '#', 'Für Liegeplätze, drücken Sie die Raute.'],
  ] as const)('are in the language of the voice %s', (voice, label, key, says) =>
    expect(phrasesOf(voice).option(label, key)).toBe(says),
  );
});

describe('sentences', () => {
  it('are cut at full stops and line breaks, and keep no empty ones', () => {
    expect(splitSentences('Hello.  We are closed!\nSee you soon…\n\n - ', 'en')).toEqual([
      'Hello.',
      'We are closed!',
      'See you soon…',
    ]);
    expect(splitSentences('', 'en')).toEqual([]);
  });

  it.each<[Language, string, string[]]>([
    ['de', 'Heute ist der 1. Weihnachtstag. Wir haben zu.', ['Heute ist der 1. Weihnachtstag.', 'Wir haben zu.']],
    ['de', 'Dr. Müller ist in der Hauptstr. 5. Bis bald.', ['Dr. Müller ist in der Hauptstr. 5. Bis bald.']],
    ['de', 'Wählen Sie Nr. 4, z. B. jetzt. Danke.', ['Wählen Sie Nr. 4, z. B. jetzt.', 'Danke.']],
    ['en', 'Ask for Dr. Haldane at St. Mary. Thank you.', ['Ask for Dr. Haldane at St. Mary.', 'Thank you.']],
    [
      'en',
      'No. We are closed. Dial no. 4. Ring No. 5 then.',
      ['No.', 'We are closed.', 'Dial no. 4.', 'Ring No. 5 then.'],
    ],
    ['en', 'We open on the 1. Of May.', ['We open on the 1.', 'Of May.']],
    ['fr', 'Demandez M. Dupont. Merci.', ['Demandez M. Dupont.', 'Merci.']],
    ['es', 'Pregunte por la Sra. Ruiz. Gracias.', ['Pregunte por la Sra. Ruiz.', 'Gracias.']],
  ])('in %s, “%s” is cut where it ends', (language, words, sentences) => {
    expect(splitSentences(words, language)).toEqual(sentences);
  });

  it('have a longer pause after a part than within it', () => {
    const sheet = { ...newAnnouncement(sheetId.create('a'), 'A'), words: 'One. Two.' };
    expect(sheetSentences(sheet, 'slt', facts).map(({ pauseAfterMs }) => pauseAfterMs)).toEqual([
      pauses.betweenSentencesMs,
      pauses.betweenPartsMs,
    ]);
  });
});

describe('timing', () => {
  const sheet = { ...newAnnouncement(sheetId.create('a'), 'A'), words: 'One. Two.' };
  const sentences = sheetSentences(sheet, 'slt', facts);

  it('is exact by the lengths of the audio, pauses between counted in', () => {
    const timings = timeSentences(sentences, [1000, 500]);
    expect(timings).toEqual([
      { startMs: 0, endMs: 1000 },
      { startMs: 1350, endMs: 1850 },
    ]);
    expect(totalMs(timings)).toBe(1850);
    expect(totalMs([])).toBe(0);
  });

  it('is estimated where nothing was spoken yet, longer words taking longer', () => {
    expect(estimateMs('')).toBe(0);
    expect(estimateMs('For moorings and dock space, press 1.')).toBeGreaterThan(estimateMs('For moorings, press 1.'));
    expect(estimateSentencesMs(sentences)).toBe(estimateMs('One.') + pauses.betweenSentencesMs + estimateMs('Two.'));
  });

  it('is estimated within a third of what the voice was measured to take', () => {
    for (const [text, ms] of [
      ['Thank you for calling Larkspur Cove Boatyard.', 2461],
      ['For haul-out, launch and repairs, press 2.', 2892],
      ['If a boat is taking on water at its mooring, press star now.', 3496],
    ] as const) {
      expect(Math.abs(estimateMs(text) / ms - 1)).toBeLessThan(1 / 3);
    }
  });
});

describe('what a caller says', () => {
  const choices = [
    { names: ['moorings'], value: '1' },
    { names: ['the fuel dock'], value: '2' },
    { names: ['to leave a message'], value: '0' },
    { names: ['Wendell Achterberg'], value: 'wendell' },
    { names: ['Rosalind Achterberg', 'Rosie'], value: 'rosalind' },
    { names: ['José Pemberton-Roy', ''], value: 'jose' },
  ];
  it.each([
    ['Moorings', ['1']],
    ['I want the fuel dock please', ['2']],
    ['leave a message', ['0']],
    ['fuel', ['2']],
    ['Achterberg', ['wendell', 'rosalind']],
    ['rosie', ['rosalind']],
    ['jose pemberton roy', ['jose']],
    ['pizza', []],
    ['the', []],
    ['', []],
  ])('"%s" means %j', (said, means) => expect(understand(said, choices)).toEqual(means));
});
