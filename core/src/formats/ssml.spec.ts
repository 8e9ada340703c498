import fc from 'fast-check';
import { hoursId } from '../hours';
import { shippedVoices, tunedVoice, writePiece, type LivePart, type VoiceName } from '../line';
import { hours, noor, zone } from '../testing/boatyard';
import type { SpokenFacts } from '../speech';
import { describeSsmlProblem, readSsml, writeSsml, type SsmlGreeting } from '.';

const facts: SpokenFacts = {
  business: 'Larkspur Cove Boatyard & Sons',
  atMs: Date.UTC(2026, 10, 23, 15),
  zone,
  hours,
  hoursOf: () => undefined,
  personOf: (id) => (id === noor.id ? noor : undefined),
  takeOf: () => undefined,
};
const said = (body: string): string =>
  `<speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en">${body}</speak>`;
const read = (source: string) => {
  const result = readSsml(source);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
};

const live: fc.Arbitrary<LivePart> = fc.constantFrom<LivePart>(
  { type: 'business' },
  { type: 'week', hoursId: null },
  { type: 'opens', hoursId: hoursId.create('shed') },
  { type: 'name', personId: noor.id },
);
const piece = fc.oneof(
  live.map((part) => writePiece({ type: 'live', part })),
  fc.integer({ min: 100, max: 10_000 }).map((ms) => writePiece({ type: 'pause', ms })),
  fc.constantFrom('We are open', '<b> & "quotes"', 'until five.', 'Grüße,', '{curly}', 'a < b', '5 > 4', '&amp;'),
);
const greeting: fc.Arbitrary<SsmlGreeting> = fc.record({
  words: fc
    .array(
      fc.array(piece, { minLength: 1, maxLength: 4 }).map((pieces) => pieces.join(' ')),
      {
        minLength: 1,
        maxLength: 3,
      },
    )
    .map((rows) => `Hello. ${rows.join('\n')}`),
  voice: fc
    .tuple(
      fc.constantFrom<VoiceName>(...shippedVoices, 'own-de-anna-2'),
      fc.integer({ min: 70, max: 140 }),
      fc.integer({ min: -4, max: 4 }),
    )
    .map(([name, pace, pitch]) => tunedVoice(name, { pace, pitch })),
});

describe('SSML', () => {
  it('read back gives the same words and voice, whatever they are', () => {
    fc.assert(
      fc.property(greeting, (written) => {
        expect(read(writeSsml(written, facts))).toEqual({ ...written, sayAs: [], left: [] });
      }),
    );
  });

  it('says what live parts say now, so that other programs can speak it', () => {
    const ssml = writeSsml({ words: 'Open {week}. {pause 0.8 s}Ask {name person:noor}.', voice: 'slt@90+2' }, facts);
    expect(ssml).toContain('<w locutor:live="week">Monday to Friday, eight to half past five</w>');
    expect(ssml).toContain('<break time="800ms"/>');
    expect(ssml).toContain('<prosody rate="90%" pitch="+2st">');
    expect(ssml).toContain('<voice name="slt" languages="en">');
  });

  it('carries how words are said', () => {
    const dictionary = [{ written: 'Achterberg', said: 'AHK ter berg', language: null }];
    const ssml = writeSsml({ words: 'Ask for Achterberg, please.', voice: 'slt' }, facts, dictionary);
    expect(ssml).toContain('<sub alias="AHK ter berg">Achterberg</sub>');
    expect(read(ssml)).toMatchObject({ words: 'Ask for Achterberg, please.', sayAs: dictionary });
  });

  it('reads letters that are written as character references, in decimal and in hexadecimal, once', () => {
    expect(read('<speak>Caf&#233; &#x201C;Zo&#xEB;&#x201D; &amp; R&amp;#233;</speak>').words).toBe(
      'Café “Zoë” & R&#233;',
    );
  });

  it('reads what other programs write, and tells what it leaves', () => {
    const other = said(
      '<p><s>Thank you for <emphasis level="strong">calling</emphasis>.</s><break strength="strong"/>' +
        '<s>We open at <say-as interpret-as="time">8am</say-as>.</s></p><p>Goodbye.<mark name="end"/></p>' +
        '<audio src="https://elsewhere.example/a.wav">A jingle.</audio><![CDATA[ R&D ]]>',
    );
    expect(read(other)).toEqual({
      words: 'Thank you for calling.{pause 0.8 s}We open at 8am.\nGoodbye.\nA jingle. R&D',
      voice: 'slt',
      sayAs: [],
      left: ['emphasis', 'say-as', 'mark', 'audio'],
    });
    expect(read(said('<prosody volume="loud" rate="slow">Hi</prosody>')).left).toEqual(['prosody']);
    expect(read(said('<voice name="Somebody">Hi</voice>')).left).toEqual(['voice']);
    expect(read('<ssml:speak xmlns:ssml="x">Hi <ssml:break time="2s"/>you</ssml:speak>').words).toBe(
      'Hi {pause 2 s}you',
    );
  });

  it.each([
    ['<speak>Hi', 'This is not XML: something is wrong at line 1.'],
    ['<?xml version="1.0?><speak>Hi</speak>', 'This is not XML that can be read. Nothing was changed.'],
    ['<html><p>Hi</p></html>', 'not SSML'],
    ['<!DOCTYPE speak [<!ENTITY x SYSTEM "file:///etc/passwd">]><speak>&x;</speak>', 'not SSML'],
    [said('<break/>'), 'There are no words'],
    [said('word '.repeat(700)), 'longer than 3,000 characters'],
    ['x'.repeat(200_001), 'larger than 200 kB'],
  ])('refuses %#', (source, says) => {
    const result = readSsml(source);
    expect(result.ok ? '' : result.problems.map(describeSsmlProblem).join()).toContain(says);
  });

  it('never throws, whatever the text', () => {
    fc.assert(
      fc.property(fc.string(), (inside) => {
        expect(typeof readSsml(said(inside)).ok).toBe('boolean');
        expect(typeof readSsml(inside).ok).toBe('boolean');
      }),
    );
  });
});
