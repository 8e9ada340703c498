import { languageOf, placeOfText, type Language, type TakeSays, type TakeUse, type VoiceId } from '@locutor/core/line';
import {
  everySpokenText,
  plainSentences,
  saysOfSheet,
  saysOfWords,
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
import { namedPlace, type NamedPlace } from './placeName';
import { partsOf, takeUseOf, textOfPart } from './sheetParts';

/** Something that can be recorded by itself, wherever it is kept. */
export interface Recordable extends NamedPlace {
  /** The place of its recordings. */
  readonly place: string;
  readonly kind: 'sheet' | 'greeting' | 'text' | 'phrase' | 'name';
  readonly voice: VoiceId;
  readonly language: Language;
  /** What is to be read, as the voice would say it now. */
  readonly text: string;
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
    const around = { people, groups, queues, boxes, greetings, hours, switchWords: switched?.words ?? '' };
    const texts = everySpokenText(attendant, around).filter(
      ({ place, greetingId }) => greetingId === null && isText(place),
    );
    const byPlace = new Map<string, Recordable>();
    for (const { place: at, typed, voice } of texts) {
      const language = languageOf(voice);
      const place = placeOfText(language, typed);
      if (byPlace.has(place)) continue;
      const said = wordsOf(typed, voice, facts);
      byPlace.set(place, {
        ...{ place, kind: kindOf(at), voice, language },
        ...namedPlace(at, attendant, names),
        ...said,
        use: recordings.find((each) => placeOfText(each.language, each.words) === place)?.take ?? null,
        setUse: async (take) => {
          const body = { language, words: typed, take, live: JSON.stringify(said.says.live) };
          await api('/api/recordings', { method: 'PUT', body });
          await mutate('/api/recordings');
        },
      });
    }
    return [...ofSheets, ...ofGreetings, ...byPlace.values()].filter(({ text }) => text.trim() !== '');
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

function wordsOf(words: string, voice: VoiceId, facts: SpokenFacts): Pick<Recordable, 'text' | 'says'> {
  const text = plainSentences(words, voice, facts).map((sentence) => sentence.text);
  return { text: text.join(' '), says: saysOfWords(words, voice, facts) };
}

async function setGreetingTake({ id, revision }: KeptGreeting, take: TakeUse | null): Promise<void> {
  await api(`/api/greetings/${id}`, { method: 'PATCH', body: { revision, take } });
}
