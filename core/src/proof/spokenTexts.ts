import type { Attendant, Greeting, Sheet, SheetId, Slot, VoiceId, WordsPart } from '../line';
import { readPieces, sheetOfSlot } from '../line';
import type { Hours } from '../hours';
import { keysSaid } from './reading/keysSaid';
import { remember, rememberBy } from './remember';
import type { FindingPlace, ProofSubject } from './rule';
import { stepsOf } from './steps';

/** Words that callers may hear, with their place. Live parts and pauses are left out of them. */
export interface SpokenText {
  readonly at: FindingPlace;
  readonly words: string;
  /** As they are kept, live parts and all. */
  readonly typed: string;
  readonly voice: VoiceId;
  /** Where they can be changed by an edit; null elsewhere. */
  readonly part: { readonly sheetId: SheetId; readonly part: WordsPart } | null;
}

/** Everything that is typed to be spoken: sheets, steps, the greetings of the library, special dates. */
export function spokenTexts({ attendant, greetings, hours }: ProofSubject): readonly SpokenText[] {
  return textsOf(attendant, greetings, hours);
}

const textsOf = remember(
  (attendant: Attendant, greetings: readonly Greeting[], hours: Hours): readonly SpokenText[] => [
    ...attendant.sheets.flatMap((sheet) => textsOfSheet(sheet, attendant.voice)),
    ...textsOfSteps(attendant),
    ...greetings.map(textOfGreeting),
    ...hours.special
      .filter(({ words }) => words !== '')
      .map(({ id, words }) => text({ type: 'hours', specialId: id }, words, attendant.voice)),
  ],
);

/** The keys that words of a sheet tell callers to press. */
export const keysIn = rememberBy(({ words, voice }: SpokenText) => keysSaid(words, voice));

/** The words of a sheet itself, part by part. */
export const textsOfSheet = rememberBy((sheet: Sheet, attendantVoice: VoiceId): readonly SpokenText[] => {
  const voice = sheet.voice ?? attendantVoice;
  const sheetId = sheet.id;
  const parts: readonly [WordsPart, string][] =
    sheet.type === 'announcement'
      ? [['words', sheet.words]]
      : (['openingWords', 'closingWords', 'silenceWords', 'wrongKeyWords'] as const).map((part) => [part, sheet[part]]);
  return parts
    .filter(([, words]) => words !== '')
    .map(([part, words]) => text({ type: 'sheet', sheetId }, words, voice, { sheetId, part }));
});

const textOfGreeting = rememberBy(({ id, words, voice }: Greeting): SpokenText =>
  text({ type: 'row', id }, words, voice),
);

function textsOfSteps(attendant: Attendant): readonly SpokenText[] {
  const voiceAt = (slot: Slot): VoiceId => {
    const sheetId = sheetOfSlot(slot);
    return attendant.sheets.find(({ id }) => id === sheetId)?.voice ?? attendant.voice;
  };
  return stepsOf(
    { attendant },
    'say',
    'hangUp',
    'ring',
    'ringOperator',
    'ringGroup',
    'ringOutside',
    'handOver',
  ).flatMap(({ step, slot, stepIndex }) => {
    const words =
      step.type === 'say'
        ? step.spoken.type === 'typed'
          ? step.spoken.words
          : ''
        : step.type === 'hangUp'
          ? step.words
          : step.before;
    return words === '' ? [] : [text({ type: 'path', slot, stepIndex }, words, voiceAt(slot))];
  });
}

function text(at: FindingPlace, typed: string, voice: VoiceId, part: SpokenText['part'] = null): SpokenText {
  const words = typed.includes('{')
    ? readPieces(typed)
        .map((piece) => (piece.type === 'text' ? piece.text : ' … '))
        .join('')
    : typed;
  return { at, words, typed, voice, part };
}
