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
import { clipsOf } from '../speech';
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
    const ofText = new Map(recordings.map(({ language, words, take }) => [textKey(language, words), take]));
    const inText = (words: string, voice: VoiceId): TakeUse | undefined =>
      ofText.get(textKey(languageOf(voice), words));
    const useOf = ({ at, place, typed, voice }: SpokenText): TakeUse | null | undefined => {
      const greeting = at.type === 'row' ? greetings.find(({ id }) => id === at.id) : undefined;
      if (greeting) return greeting.take;
      const whole = wholeOf(attendant, place);
      const part = place.type === 'words' ? place.part : place.type;
      switch (part) {
        case 'words':
        case 'option':
          return whole;
        case 'openingWords':
        case 'closingWords':
          return whole ?? (place.type === 'words' ? findSheet(attendant, place.sheetId)?.takes[part] : undefined);
        default:
          return inText(typed, voice);
      }
    };
    /** Words between whose live parts something else was recorded, with that in its place. */
    const inClips = ({ voice, typed }: SpokenText): string | undefined => {
      const said = clipsOf(typed, languageOf(voice)).reduce((words, clip) => {
        const use = inText(clip, voice);
        return words.replace(clip, (use && !use.byVoice && saidIn.get(use.takeId)) || clip);
      }, typed);
      return said === typed ? undefined : said;
    };
    const said = (text: SpokenText): string | null | undefined => {
      const use = useOf(text);
      if (!use || use.byVoice) return inClips(text);
      const { place } = text;
      const heard = saidIn.get(use.takeId);
      // All of a sheet is heard with its opening words.
      const isLater = place.type === 'option' || (place.type === 'words' && place.part === 'closingWords');
      return heard !== undefined && isLater && use === wholeOf(attendant, place) ? null : heard;
    };
    return written.flatMap((text) => {
      const heard = said(text);
      if (heard === undefined) return [text];
      if (heard === null || heard === '') return [];
      const { words } = asRead({ ...text, typed: heard, greetingId: null });
      return [{ ...text, words, typed: heard }];
    });
  },
);

/** The recording of all of the sheet that words belong to, where it is heard. */
function wholeOf(attendant: Attendant, place: SpokenPlace): TakeUse | undefined {
  if (place.type !== 'words' && place.type !== 'option') return undefined;
  const whole = findSheet(attendant, place.sheetId)?.takes.whole;
  return whole?.byVoice ? undefined : whole;
}

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
