import type {
  Edit,
  Greeting,
  SpokenText as Spoken,
  Sheet,
  SpokenPlace,
  TakeUse,
  TextRecording,
  VoiceId,
} from '../line';
import {
  findSheet,
  heardText,
  languageOf,
  pathAt,
  readPieces,
  spokenTexts as listed,
  textKey,
  textsOfSheet as listedOf,
  withWords,
  type Attendant,
} from '../line';
import type { Box, Group, Queue } from '../directory';
import type { Hours } from '../hours';
import { keysSaid } from './reading/keysSaid';
import { remember, rememberBy } from './remember';
import type { FindingPlace, ProofSubject, ProofTake } from './rule';

/** Words that callers may hear, as the rules read them. */
export interface SpokenText {
  /** Where it is in the one list of what is spoken. */
  readonly place: SpokenPlace;
  readonly at: FindingPlace;
  /** Without live parts and pauses. */
  readonly words: string;
  /** As they are kept, live parts and all. */
  readonly typed: string;
  readonly voice: VoiceId;
}

/** Everything that callers hear of what is written, as it is said: where a recording says something else, that. */
export function spokenTexts(subject: ProofSubject): readonly SpokenText[] {
  const { attendant, greetings, takes, recordings = noRecordings } = subject;
  const written = writtenTexts(subject);
  return takes.some(({ verdict }) => verdict?.type === 'other')
    ? asHeard(written, attendant, greetings, takes, recordings)
    : written;
}

/** Everything that is written to be spoken, whatever a recording of it says. */
export function writtenTexts(subject: ProofSubject): readonly SpokenText[] {
  const { attendant, greetings, groups, queues, boxes, hours, switched } = subject;
  return textsOf(attendant, greetings, groups, queues, boxes, hours, switched?.words ?? '');
}

const noRecordings: readonly TextRecording[] = [];

/** Where a recording is known to say something else, callers hear that, and not what is written. */
const asHeard = remember(
  (
    written: readonly SpokenText[],
    attendant: Attendant,
    greetings: readonly Greeting[],
    takes: readonly ProofTake[],
    recordings: readonly TextRecording[],
  ): readonly SpokenText[] => {
    const saidIn = new Map(
      takes.flatMap(({ id, verdict }) => (verdict?.type === 'other' ? [[id, heardText(verdict)] as const] : [])),
    );
    const heardIn = (use: TakeUse | null | undefined): string | undefined =>
      use && !use.byVoice ? saidIn.get(use.takeId) : undefined;
    const ofText = new Map(recordings.map(({ language, words, take }) => [textKey(language, words), take]));
    const inText = ({ voice, typed }: SpokenText): string | undefined =>
      heardIn(ofText.get(textKey(languageOf(voice), typed)));
    const said = (text: SpokenText): string | null | undefined => {
      const { at, place } = text;
      const greeting = at.type === 'row' ? greetings.find(({ id }) => id === at.id) : undefined;
      if (greeting) return heardIn(greeting.take);
      if (place.type !== 'words' && place.type !== 'option') return inText(text);
      const takesOf = findSheet(attendant, place.sheetId)?.takes;
      const whole = heardIn(takesOf?.whole);
      if (place.type === 'option') return whole === undefined ? undefined : null;
      switch (place.part) {
        case 'words':
          return whole;
        case 'openingWords':
          return whole ?? heardIn(takesOf?.openingWords);
        case 'closingWords':
          // All of the sheet was heard with its opening words.
          return whole === undefined ? heardIn(takesOf?.closingWords) : null;
        default:
          return inText(text);
      }
    };
    return written.flatMap((text) => {
      const heard = said(text);
      if (heard === undefined) return [text];
      return heard === null || heard === '' ? [] : [{ ...text, words: heard, typed: heard }];
    });
  },
);

const textsOf = remember(
  (
    attendant: Attendant,
    greetings: readonly Greeting[],
    groups: readonly Group[],
    queues: readonly Queue[],
    boxes: readonly Box[],
    hours: Hours,
    switchWords: string,
  ): readonly SpokenText[] =>
    listed(attendant, { greetings, groups, queues, boxes, hours, switchWords }).map((text) => asRead(text)),
);

/** The keys that words tell callers to press. */
export const keysIn = rememberBy(({ words, voice }: SpokenText) => keysSaid(words, voice));

/** The words of a sheet itself, part by part, without what its keys are for. */
export const textsOfSheet = rememberBy((sheet: Sheet, attendantVoice: VoiceId): readonly SpokenText[] =>
  listedOf(sheet, attendantVoice)
    .map((text) => asRead(text))
    .filter(({ place }) => place.type === 'words'),
);

const asRead = rememberBy(({ place, typed, voice, greetingId }: Spoken): SpokenText => {
  const at: FindingPlace = greetingId ? { type: 'row', id: greetingId } : placeOf(place);
  const words = typed.includes('{')
    ? readPieces(typed)
        .map((piece) => (piece.type === 'text' ? piece.text : ' … '))
        .join('')
    : typed;
  return { place, at, words, typed, voice };
});

function placeOf(place: SpokenPlace): FindingPlace {
  switch (place.type) {
    case 'words':
      return { type: 'sheet', sheetId: place.sheetId };
    case 'option':
      return { type: 'path', slot: { type: 'key', sheetId: place.sheetId, key: place.key }, stepIndex: null };
    case 'step':
      return { type: 'path', slot: place.slot, stepIndex: place.stepIndex };
    case 'closed':
      return { type: 'row', id: place.of };
    case 'queueEntry':
    case 'queueWaiting':
    case 'queueHold':
      return { type: 'row', id: place.queueId };
    case 'box':
      return { type: 'row', id: place.boxId };
    case 'special':
      return { type: 'hours', specialId: place.specialId };
    case 'greeting':
      return { type: 'line' };
    case 'switch':
      return { type: 'switch' };
  }
}

/** The edit that says something else in its place; none where the attendant is not the place to change it. */
function reworded({ attendant }: Pick<ProofSubject, 'attendant'>, text: SpokenText, typed: string): Edit | null {
  const { at, place } = text;
  if (at.type === 'row') return null;
  switch (place.type) {
    case 'words':
      return { type: 'setWords', sheetId: place.sheetId, part: place.part, words: typed };
    case 'option': {
      const sheet = findSheet(attendant, place.sheetId);
      const isThere = sheet?.type === 'menu' && sheet.options.some(({ key }) => key === place.key);
      return isThere ? { type: 'setOption', sheetId: place.sheetId, key: place.key, option: { label: typed } } : null;
    }
    case 'step': {
      const path = pathAt(attendant, place.slot);
      if (!path?.[place.stepIndex]) return null;
      const said = path.map((step, index) => (index === place.stepIndex ? withWords(step, typed) : step));
      return { type: 'setPath', slot: place.slot, path: said };
    }
    default:
      return null;
  }
}

/** Something that is written out in words, said live instead; nothing where it cannot be. */
export function saidLive(
  subject: Pick<ProofSubject, 'attendant'>,
  text: SpokenText,
  written: string,
  live: string,
  why: string,
): { readonly fix?: Edit } {
  if (text.place.type === 'option' || !text.typed.includes(written)) return {};
  const edit = reworded(subject, text, text.typed.replace(written, live));
  return edit ? { fix: { type: 'together', edits: [edit], why } } : {};
}
