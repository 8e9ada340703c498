import { languageOf, ownVoiceIn, shippedVoiceOf, voiceLabel, voiceNameOf, type Edit, type VoiceId } from '../../line';
import type { FindingPlace, Found, ProofSubject, Rule } from '../rule';

/** A voice of the business's own that is not in the voice folder: a shipped one speaks in its place. */
export const voiceGone: Rule<'voiceGone'> = {
  name: 'voiceGone',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => {
    const { ownVoices } = subject;
    if (!ownVoices) return [];
    return voicesIn(subject).flatMap(({ at, voice, edit }): Found[] => {
      const own = ownVoiceIn(voice);
      if (!own || ownVoices.includes(own)) return [];
      const instead = shippedVoiceOf(languageOf(voice));
      const facts = { voice: voiceLabel(voiceNameOf(voice)), instead: voiceLabel(instead) };
      return [{ at, facts, ...(edit && { fix: edit(instead) }) }];
    });
  },
};

interface VoiceUsed {
  readonly at: FindingPlace;
  readonly voice: VoiceId;
  /** Lets another voice speak there, where an edit can. */
  readonly edit?: (voice: VoiceId) => Edit;
}

function voicesIn({ attendant, greetings }: ProofSubject): readonly VoiceUsed[] {
  return [
    { at: { type: 'line' }, voice: attendant.voice, edit: (voice) => ({ type: 'setVoice', voice }) },
    ...attendant.sheets.flatMap(({ id, voice }): VoiceUsed[] =>
      voice
        ? [
            {
              at: { type: 'sheet', sheetId: id },
              voice,
              edit: (other) => ({ type: 'setSheetVoice', sheetId: id, voice: other }),
            },
          ]
        : [],
    ),
    ...greetings.map(({ id, voice }): VoiceUsed => ({ at: { type: 'row', id }, voice })),
  ];
}
