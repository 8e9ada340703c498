import { clipsOf, outOfStep, saysOfSheet, saysOfWords, type OutOfStep, type SpokenFacts } from '../speech';
import {
  languageOf,
  textKey,
  type Edit,
  type Greeting,
  type Sheet,
  type SpokenPlace,
  type TakePart,
  type TakeSays,
  type TakeUse,
  type TextRecording,
  type VoiceId,
} from '../line';
import { proofFacts } from './facts';
import { remember, rememberBy } from './remember';
import type { FindingPlace, ProofSubject, ProofTake } from './rule';
import { writtenTexts } from './spokenTexts';

/** A recording that callers hear, with its place and what should be said there now. */
export interface HeardRecording {
  readonly at: FindingPlace;
  readonly take: ProofTake;
  readonly now: TakeSays;
  /** Lets the voice say it for now, where an edit can. */
  readonly byVoice: Edit | null;
}

interface Use {
  readonly at: FindingPlace;
  readonly use: TakeUse;
  readonly now: TakeSays;
  readonly byVoice: Edit | null;
}

/** The recordings that callers hear: those of sheets, their options, and greetings. The voice stands in for none of them. */
export function heardRecordings(subject: ProofSubject): readonly HeardRecording[] {
  const { attendant, greetings, takes } = subject;
  if (takes.length === 0) return [];
  const facts = proofFacts(subject);
  const uses = [
    ...attendant.sheets.flatMap((sheet) => usesInSheet(sheet, attendant.voice, facts)),
    ...greetings.flatMap((greeting) => useInGreeting(greeting, facts)),
    ...usesInTexts(subject, facts),
  ];
  const byId = takesById(takes);
  return uses.flatMap(({ use, ...rest }) => {
    const take = use.byVoice ? undefined : byId.get(use.takeId);
    return take ? [{ take, ...rest }] : [];
  });
}

const takesById = remember(
  (takes: readonly ProofTake[]): ReadonlyMap<string, ProofTake> => new Map(takes.map((take) => [take.id, take])),
);

const usesInSheet = rememberBy((sheet: Sheet, voice: VoiceId, facts: SpokenFacts): readonly Use[] => {
  const used: { readonly part: TakePart; readonly use: TakeUse }[] = (
    ['whole', 'openingWords', 'closingWords'] as const
  ).flatMap((type) => {
    const use = sheet.takes[type];
    return use ? [{ part: { type }, use }] : [];
  });
  const options = sheet.type === 'menu' ? sheet.options : [];
  for (const { key, take } of options) if (take) used.push({ part: { type: 'option', key }, use: take });
  return used.map(({ part, use }) => ({
    at: { type: 'sheet', sheetId: sheet.id },
    use,
    now: saysOfSheet(sheet, part, voice, facts),
    byVoice: { type: 'setTake', sheetId: sheet.id, part, take: { ...use, byVoice: true } },
  }));
});

const useInGreeting = rememberBy(({ id, words, voice, take }: Greeting, facts: SpokenFacts): readonly Use[] =>
  take ? [{ at: { type: 'row', id }, use: take, now: saysOfWords(words, voice, facts), byVoice: null }] : [],
);

/** Recordings that belong to their words: those of words that are said somewhere. */
function usesInTexts(subject: ProofSubject, facts: SpokenFacts): readonly Use[] {
  const { recordings = [] } = subject;
  if (recordings.length === 0) return [];
  const byKey = new Map(recordings.map((each) => [textKey(each.language, each.words), each]));
  const found = new Map<TextRecording, Use>();
  for (const { at, place, typed, voice } of writtenTexts(subject)) {
    const language = languageOf(voice);
    for (const words of [...(isOwnPart(place) ? [] : [typed]), ...clipsOf(typed, language)]) {
      const recording = byKey.get(textKey(language, words));
      if (!recording || found.has(recording)) continue;
      found.set(recording, { at, use: recording.take, now: saysOfWords(words, voice, facts), byVoice: null });
    }
  }
  return [...found.values()];
}

/** Words of a sheet that are recorded with it. */
function isOwnPart(place: SpokenPlace): boolean {
  if (place.type === 'option') return true;
  return place.type === 'words' && place.part !== 'silenceWords' && place.part !== 'wrongKeyWords';
}

/** What a recording no longer says as it is; remembered for each place. */
export function untrueIn({ take, now }: HeardRecording): readonly OutOfStep[] {
  return compared(now, take.says);
}

const compared = rememberBy((now: TakeSays, says: TakeSays) => outOfStep(says, now));
