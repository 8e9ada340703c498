import fc from 'fast-check';
import { isVoiceId, languageOf, tunedVoice, tuningLimits, tuningOf, usualTuning, voiceNameOf, voiceNames } from '.';

describe('a voice at a pace and pitch of its own', () => {
  it('is read back as it was made, whatever the pace and pitch', () => {
    const { pace, pitch } = tuningLimits;
    fc.assert(
      fc.property(
        fc.constantFrom(...voiceNames),
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
    '',
    7,
    null,
  ])('is not %p', (text) => expect(isVoiceId(text)).toBe(false));
});
