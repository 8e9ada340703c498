import { spokenName } from '../directory';
import { instantOf } from '../hours';
import { placeOfText, takeId, textKey, type Path, type RecordedTake, type TextRecording } from '../line';
import { answering, hours, noor, zone } from '../testing/boatyard';
import { Office } from '../testing/office';

const take: RecordedTake = { id: takeId.create('bye'), audioId: 'bye-audio', lengthMs: 2000, text: 'Bye, now.' };
const recording = (words: string, more: Partial<TextRecording> = {}): TextRecording => ({
  ...{ language: 'en', words, take: { takeId: take.id, byVoice: false }, live: [] },
  ...more,
});

/** What callers hear of a goodbye: from a recording, or by the voice. */
function heard(words: string, recordings: readonly TextRecording[], at = '2026-11-24T10:00'): string {
  const path: Path = [{ type: 'hangUp', words }];
  const office = new Office({ ...answering(path, { hours: [hours] }), takes: [take], recordings });
  office.nowMs = instantOf(at, zone);
  office.call('one');
  const items = office.effects.flatMap((effect) =>
    effect.type === 'forCall' && effect.effect.type === 'play' ? effect.effect.items : [],
  );
  return items
    .flatMap((item) => (item.type === 'sentence' ? [item.sentence.recorded?.audioId ?? item.sentence.text] : []))
    .join(' ');
}

describe('a recording of a text', () => {
  it('is heard where these very words are said', () => {
    expect(heard('Goodbye.', [recording('Goodbye.')])).toBe('bye-audio');
    expect(heard(' Goodbye.  ', [recording('Goodbye.')])).toBe('bye-audio');
  });

  it('is not heard once the words are others, in another language, or while the voice speaks for it', () => {
    expect(heard('Goodbye!', [recording('Goodbye.')])).toBe('Goodbye!');
    expect(heard('Goodbye.', [recording('Goodbye.', { language: 'fr' })])).toBe('Goodbye.');
    const byVoice = recording('Goodbye.', { take: { takeId: take.id, byVoice: true } });
    expect(heard('Goodbye.', [byVoice])).toBe('Goodbye.');
    const gone = recording('Goodbye.', { take: { takeId: takeId.create('gone'), byVoice: false } });
    expect(heard('Goodbye.', [gone])).toBe('Goodbye.');
  });

  it('is heard as long as its live parts say what they did', () => {
    const business = (said: string) => [{ part: { type: 'business' as const }, said }];
    const words = 'Thank you for calling {business}.';
    const now = heard(words, []);
    const name = /calling (.*)\.$/.exec(now)?.[1] ?? '';
    expect(heard(words, [recording(words, { live: business(name) })])).toBe('bye-audio');
    expect(heard(words, [recording(words, { live: business('Another Yard') })])).toBe(now);
  });

  it('of what stays the same is heard with the voice in between', () => {
    const words = 'Thank you for calling {business}. We are open {today}.';
    const [thanks, open] = heard(words, []).split(/(?<=\.) (?=We are open)/);
    expect(heard(words, [recording('Thank you for calling')])).toBe(
      `bye-audio ${thanks?.replace('Thank you for calling ', '')} ${open}`,
    );
    expect(heard(words, [recording('We are open')])).toBe(`${thanks} bye-audio ${open?.replace('We are open ', '')}`);
    const byVoice = recording('We are open', { take: { takeId: take.id, byVoice: true } });
    expect(heard(words, [byVoice])).toBe(heard(words, []));
  });

  it('has a place by its language and words, whatever spaces there are', () => {
    expect(placeOfText('en', 'Good  bye.')).toBe(placeOfText('en', ' Good bye. '));
    expect(placeOfText('en', 'Goodbye.')).not.toBe(placeOfText('de', 'Goodbye.'));
    expect(placeOfText('en', 'Goodbye.')).toMatch(/^text:en:[0-9a-f]{16}$/);
    expect(textKey('en', 'Good\nbye')).toBe('en Good bye');
  });
});

describe('a recording of a name', () => {
  it('is heard between the words of the voice, wherever the line says the name', () => {
    const path: Path = [{ type: 'searchByName', by: 'firstName', seconds: 18 }];
    const found = (recordings: readonly TextRecording[]): readonly string[] => {
      const office = new Office({ ...answering(path, { hours: [hours] }), takes: [take], recordings });
      office.nowMs = instantOf('2026-11-24T10:00', zone);
      const call = office.call('one');
      office.pass(20);
      for (const key of ['6', '6', '6'] as const) office.tell(call, { type: 'keyPressed', key });
      office.pass(2);
      return office.effects.flatMap((effect) =>
        effect.type === 'forCall' && effect.effect.type === 'play'
          ? effect.effect.items.flatMap((item) =>
              item.type === 'sentence' ? [item.sentence.recorded?.audioId ?? item.sentence.text] : [],
            )
          : [],
      );
    };
    expect(found([])).toContain(`${spokenName(noor)}.`);
    const said = found([recording(spokenName(noor))]);
    expect(said).toContain('bye-audio');
    expect(said).not.toContain(`${spokenName(noor)}.`);
  });
});
