import { nameParts } from '../directory';
import { keys, languageOf, shippedVoices } from '../line';
import { phrasesOf, splitSentences } from '.';

describe.each(shippedVoices)('what the line says by itself, by %s', (voice) => {
  const said = phrasesOf(voice);

  it('is whole sentences, each with its key or its name', () => {
    for (const key of keys) {
      const line = said.option('boats', key);
      expect(line).toMatch(/^\p{Lu}.*\.$/u);
      expect(line).toContain('boats');
      if (/\d/.test(key)) expect(line).toContain(key);
      else expect(line).not.toContain(key);
    }
    for (const text of [
      said.leaveMessage('Office'),
      said.messageTaken,
      said.nothingMore,
      said.dialExtension,
      said.nobodyFound,
      said.noSuchExtension,
      said.choice('Noor Haldane', '1'),
      said.moreChoices('9'),
      said.noAnswer('Noor Haldane'),
      said.acceptCall,
      ...nameParts.map(said.spellName),
    ]) {
      expect(text).toMatch(/\.$/);
      expect(splitSentences(text, languageOf(voice)).length).toBeGreaterThan(0);
    }
    expect(said.leaveMessage('Office')).toContain('Office');
    expect(said.choice('Noor Haldane', '3')).toMatch(/Noor Haldane.*3/);
  });

  it('asks for another part of the name in other words', () => {
    expect(new Set(nameParts.map(said.spellName)).size).toBe(nameParts.length);
  });

  it('is in the language of the voice', () => {
    const thanks = { en: 'Thank you', fr: 'Merci', es: 'Gracias', de: 'Vielen Dank' } as const;
    expect(said.messageTaken.startsWith(thanks[languageOf(voice)])).toBe(true);
  });
});
