import {
  languageOf,
  placeOfText,
  takeId,
  textKey,
  type Language,
  type RecordedTake,
  type TakeSays,
  type TakeUse,
  type VoiceId,
} from '@locutor/core/line';
import {
  changesByTheDay,
  clipsOf,
  everySpokenText,
  plainSentences,
  saysOfSheet,
  saysOfWords,
  sentencesOf,
  sheetSentences,
  type SaidPlace,
  type SpokenFacts,
} from '@locutor/core/speech';
import { useMemo } from 'react';
import { useSWRConfig } from 'swr';
import { api } from '../../api/client';
import {
  useBoxes,
  useGreetings,
  useGroups,
  usePeople,
  useQueues,
  useTextRecordings,
  type KeptGreeting,
} from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import type { Around } from '../../takes/Recorder';
import { namedPlace, type NamedPlace } from './placeName';
import { alone, aroundPart, partsOf, takeUseOf, textOfPart, wordsOfPart } from './sheetParts';

/** Something that can be recorded by itself, wherever it is kept. */
export interface Recordable extends NamedPlace {
  /** The place of its recordings. */
  readonly place: string;
  readonly kind: 'sheet' | 'greeting' | 'text' | 'phrase' | 'name' | 'clip';
  readonly voice: VoiceId;
  readonly language: Language;
  /** What is to be read, as the voice would say it now. */
  readonly text: string;
  /** All that is said there, where this is a part of it that stays the same. */
  readonly within?: string;
  /** Whether it is better recorded otherwise: all of words that change by the day, or parts of words that hardly do. */
  readonly isSecondChoice: boolean;
  /** What callers hear right before and after it. */
  readonly around: () => Around;
  readonly says: TakeSays;
  readonly use: TakeUse | null;
  /** Lets it be heard from a recording, or from the voice again. */
  readonly setUse: (use: TakeUse | null) => Promise<void>;
}

/** Everything that callers can hear and that can be recorded, each text once. */
export function useRecordables(): readonly Recordable[] {
  const { attendant, names, line, hours, switched, edit } = useDraft();
  const [people, groups, queues, boxes] = [usePeople(), useGroups(), useQueues(), useBoxes()];
  const greetings = useGreetings();
  const recordings = useTextRecordings();
  const facts = useSpokenFacts();
  const { mutate } = useSWRConfig();
  return useMemo(() => {
    const ofSheets = attendant.sheets.flatMap((sheet) => {
      const [whole, ...others] = partsOf(sheet);
      const voice = sheet.voice ?? attendant.voice;
      return (others.length > 0 ? others : [whole]).map(({ value, label, part }): Recordable => ({
        ...{ place: `${line.id} ${sheet.id} ${value}`, kind: 'sheet', voice, language: languageOf(voice) },
        ...{ group: sheet.name, name: `${sheet.name}, ${label.replace(/^the /, '')}`, to: `/script/${sheet.id}` },
        text: textOfPart(sheet, part, attendant.voice, facts),
        says: saysOfSheet(sheet, part, attendant.voice, facts),
        isSecondChoice: changesByTheDay(wordsOfPart(sheet, part)),
        around: () => aroundPart(sheet, part, sheetSentences(sheet, attendant.voice, facts)),
        use: takeUseOf(sheet, part),
        setUse: async (take) => edit({ type: 'setTake', sheetId: sheet.id, part, take }),
      }));
    });
    const ofGreetings = greetings.map((greeting): Recordable => ({
      ...{ place: greeting.id, kind: 'greeting', voice: greeting.voice, language: languageOf(greeting.voice) },
      ...{ group: 'Greetings', name: greeting.name, to: `/greetings/${greeting.id}` },
      ...wordsOf(greeting.words, greeting.voice, facts),
      use: greeting.take,
      setUse: (take) => setGreetingTake(greeting, take).then(() => void mutate('/api/greetings')),
    }));
    const ofText = (typed: string, voice: VoiceId): Omit<Recordable, 'kind' | keyof NamedPlace> => {
      const language = languageOf(voice);
      const place = placeOfText(language, typed);
      const said = wordsOf(typed, voice, facts);
      return {
        ...{ place, voice, language },
        ...said,
        use: recordings.find((each) => placeOfText(each.language, each.words) === place)?.take ?? null,
        setUse: async (take) => {
          const body = { language, words: typed, take, live: JSON.stringify(said.says.live) };
          await api('/api/recordings', { method: 'PUT', body });
          await mutate('/api/recordings');
        },
      };
    };
    const around = { people, groups, queues, boxes, greetings, hours, switchWords: switched?.words ?? '' };
    const ofTexts = everySpokenText(attendant, around)
      .filter(({ place, greetingId }) => greetingId === null && isText(place))
      .map(({ place: at, typed, voice }): Recordable => ({
        ...ofText(typed, voice),
        ...namedPlace(at, attendant, names),
        kind: kindOf(at),
      }));
    const whole = [...ofSheets, ...ofGreetings, ...ofTexts];
    const clipsIn = ({
      says,
      voice,
      language,
      text,
      group,
      name,
      to,
      isSecondChoice,
    }: Recordable): readonly Recordable[] =>
      clipsOf(says.words, language).map((clip, index, clips) => ({
        ...ofText(clip, voice),
        ...{ kind: 'clip', group, to, within: text, isSecondChoice: !isSecondChoice },
        name: clips.length > 1 ? `${name}, part ${index + 1} of ${clips.length}` : `${name}, what stays the same`,
        around: () => aroundClip(says.words, clip, voice, facts),
      }));
    const inOrder = whole.flatMap((each) => [each, ...clipsIn(each)]).filter(({ text }) => text.trim() !== '');
    // Texts of one sheet stand together, whatever they are.
    const byPlace = new Map(inOrder.toReversed().map((each) => [each.place, each]));
    const once = inOrder.filter((each) => byPlace.get(each.place) === each);
    return [...Map.groupBy(once, ({ group }) => group).values()].flat();
  }, [
    attendant,
    names,
    line,
    hours,
    switched,
    edit,
    people,
    groups,
    queues,
    boxes,
    greetings,
    recordings,
    facts,
    mutate,
  ]);
}

function kindOf({ type }: SaidPlace): 'text' | 'phrase' | 'name' {
  return type === 'phrase' || type === 'name' ? type : 'text';
}

/** Sheets and greetings are recorded as what they are. */
function isText({ type, ...place }: SaidPlace): boolean {
  if (type === 'words') return 'part' in place && (place.part === 'silenceWords' || place.part === 'wrongKeyWords');
  return ['step', 'closed', 'queueEntry', 'queueWaiting', 'special', 'switch', 'phrase', 'name'].includes(type);
}

function wordsOf(
  words: string,
  voice: VoiceId,
  facts: SpokenFacts,
): Pick<Recordable, 'text' | 'says' | 'isSecondChoice' | 'around'> {
  const text = plainSentences(words, voice, facts).map((sentence) => sentence.text);
  return {
    ...{ text: text.join(' '), says: saysOfWords(words, voice, facts) },
    ...{ isSecondChoice: changesByTheDay(words), around: () => alone },
  };
}

/** What is heard of some words right before and after a part of them that is recorded. */
function aroundClip(words: string, clip: string, voice: VoiceId, facts: SpokenFacts): Around {
  const here: RecordedTake = { id: takeId.create('here'), audioId: '', lengthMs: 0, text: clip };
  const key = textKey(languageOf(voice), clip);
  const sentences = sentencesOf(
    words,
    voice,
    { type: 'line' },
    {
      ...facts,
      clipOf: (language, text) => (textKey(language, text) === key ? here : facts.clipOf?.(language, text)),
    },
  );
  const at = sentences.findIndex(({ recorded }) => recorded?.audioId === here.audioId);
  return {
    before: sentences.slice(Math.max(0, at - 1), at),
    after: sentences.slice(at + 1, at + 2),
    pauseMs: sentences[at]?.pauseAfterMs ?? 0,
  };
}

async function setGreetingTake({ id, revision }: KeptGreeting, take: TakeUse | null): Promise<void> {
  await api(`/api/greetings/${id}`, { method: 'PATCH', body: { revision, take } });
}
