import fc from 'fast-check';
import {
  isVoiceId,
  languageOf,
  languages,
  ownVoice,
  ownVoiceIn,
  shippedVoiceOf,
  shippedVoices,
  tunedVoice,
  tuningLimits,
  tuningOf,
  usualTuning,
  voiceLabel,
  voiceNameOf,
  type Language,
  type VoiceName,
} from '.';

const own = ['own-en-anna', 'own-de-anna-marie-2'] as const;

describe('a voice at a pace and pitch of its own', () => {
  it('is read back as it was made, whatever the pace and pitch', () => {
    const { pace, pitch } = tuningLimits;
    fc.assert(
      fc.property(
        fc.constantFrom<VoiceName>(...shippedVoices, ...own),
        fc.integer({ min: pace.least, max: pace.most }),
        fc.integer({ min: pitch.least, max: pitch.most }),
        (name, ofPace, ofPitch) => {
          const voice = tunedVoice(name, { pace: ofPace, pitch: ofPitch });
          expect(voiceNameOf(voice)).toBe(name);
          expect(tuningOf(voice)).toEqual({ pace: ofPace, pitch: ofPitch });
          expect(isVoiceId(voice)).toBe(true);
          expect(languageOf(voice)).toBe(languageOf(name));
        },
      ),
    );
  });

  it('is the plain voice at the usual pace and pitch', () => {
    expect(tunedVoice('slt', usualTuning)).toBe('slt');
    expect(tunedVoice('slt', { pace: 90, pitch: -2 })).toBe('slt@90-2');
  });

  it('is held within what a voice can do', () => {
    expect(tunedVoice('rms', { pace: 900, pitch: -12 })).toBe('rms@140-4');
    expect(tunedVoice('rms', { pace: 1, pitch: 0.4 })).toBe('rms@70+0');
  });

  it.each([
    'slt@',
    'slt@90',
    'slt@100+0',
    'slt@69+0',
    'slt@90+5',
    'nobody',
    'nobody@90+1',
    'slt@90+1; rm',
    'own-it-anna',
    'own-en-',
    'own-en-Anna',
    'own-en-../x',
    `own-en-${'a'.repeat(41)}`,
    'own-en-anna@90',
    '',
    7,
    null,
  ])('is not %p', (text) => expect(isVoiceId(text)).toBe(false));
});

describe('a voice of the business’s own', () => {
  it('is known by the name of its folder: its language, and what it is called', () => {
    expect(ownVoice('fr-anna-marie')).toBe('own-fr-anna-marie');
    expect(languageOf('own-fr-anna-marie@90+1')).toBe('fr');
    expect(voiceLabel('own-fr-anna-marie')).toBe('Anna Marie, your own');
    expect(ownVoiceIn('own-fr-anna-marie@90+1')).toBe('own-fr-anna-marie');
    expect(ownVoiceIn('slt@90+1')).toBeUndefined();
  });

  it.each(['anna', 'en', 'en-', 'EN-anna', 'en-anna..', 'it-anna', 'en-.ssh', ''])(
    'is none for a folder %p',
    (folder) => expect(ownVoice(folder)).toBeUndefined(),
  );

  it('has a shipped one of its language to stand in for it', () => {
    for (const language of Object.keys(languages) as Language[]) {
      expect(languageOf(shippedVoiceOf(language))).toBe(language);
    }
  });
});
