import { describeUse, languageOf, languages, usesOf, type VoiceId } from '@locutor/core/line';
import {
  outOfStep,
  saysOfSheet,
  saysOfWords,
  sentencesOf,
  sheetSentences,
  takeOf,
  recordedSentence,
  type OutOfStep,
  type Sentence,
} from '@locutor/core/speech';
import type { TakePart, TakeSays, TakeUse, TakeVerdict } from '@locutor/core/line';
import { useBoxes, useGreetings, useQueues } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { useRecordables } from './useRecordables';
import { useTakes, type KeptTake } from '../../takes/useTakes';

/** One line of the library: a greeting, or a sheet of the script. */
export interface SpokenThing {
  readonly id: string;
  readonly name: string;
  readonly kind: 'greeting' | 'menu' | 'announcement' | 'text';
  readonly voice: VoiceId;
  readonly language: string;
  readonly sentences: readonly Sentence[];
  /** The recordings that are heard of it, and what of them is no longer so. */
  readonly takes: readonly KeptTake[];
  readonly differences: readonly OutOfStep[];
  /** What is known of whether they say what they should; null while one is listened to. */
  readonly verdicts: readonly (TakeVerdict | null)[];
  /** Whether the voice stands in for a recording that waits. */
  readonly byVoice: boolean;
  /** Where it is used, in words. */
  readonly uses: readonly string[];
}

interface Recorded {
  readonly use: TakeUse;
  readonly says: TakeSays;
}

/** Everything that is spoken, with what is known of each. */
export function useSpokenThings(): readonly SpokenThing[] {
  const { attendant, names } = useDraft();
  const facts = useSpokenFacts();
  const takes = useTakes();
  const boxes = useBoxes();
  const queues = useQueues();
  const greetings = useGreetings();
  const recordables = useRecordables();

  const stateOf = (recorded: readonly Recorded[]) => {
    const found = recorded.flatMap(({ use, says }) => {
      const take = takes.find(({ id }) => id === use.takeId);
      return take ? [{ take, differences: outOfStep(take.says, says) }] : [];
    });
    return {
      takes: found.map(({ take }) => take),
      differences: found.flatMap(({ differences }) => differences),
      verdicts: found.map(({ take }) => take.verdict),
      byVoice: recorded.some(({ use }) => use.byVoice),
    };
  };

  const library = greetings.map((greeting): SpokenThing => {
    const { id, name, words, voice, take } = greeting;
    const recorded = takeOf(take, facts);
    const inQueues = queues.filter(
      (queue) =>
        queue.holdGreetingId === id || queue.waiting.some((part) => part.type === 'greeting' && part.greetingId === id),
    );
    return {
      id,
      name,
      kind: 'greeting',
      voice,
      language: languages[languageOf(voice)],
      sentences: recorded
        ? [recordedSentence(recorded, voice, { type: 'line' })]
        : sentencesOf(words, voice, { type: 'line' }, facts),
      ...stateOf(take ? [{ use: take, says: saysOfWords(words, voice, facts) }] : []),
      uses: [
        ...usesOf(attendant, id).map((use) => describeUse(use, attendant, names)),
        ...boxes.filter((box) => box.greetingId === id).map((box) => `the box ${box.name}`),
        ...inQueues.map((queue) => `the queue ${queue.name}`),
      ],
    };
  });

  const sheets = attendant.sheets.map((sheet): SpokenThing => {
    const voice = sheet.voice ?? attendant.voice;
    const says = (part: TakePart): TakeSays => saysOfSheet(sheet, part, attendant.voice, facts);
    const parts = (['whole', 'openingWords', 'closingWords'] as const).flatMap((type) => {
      const use = sheet.takes[type];
      return use ? [{ use, says: says({ type }) }] : [];
    });
    const ofOptions =
      sheet.type === 'menu'
        ? sheet.options.flatMap(({ key, take }) => (take ? [{ use: take, says: says({ type: 'option', key }) }] : []))
        : [];
    return {
      id: sheet.id,
      name: sheet.name,
      kind: sheet.type,
      voice,
      language: languages[languageOf(voice)],
      sentences: sheetSentences(sheet, attendant.voice, facts),
      ...stateOf([...parts, ...ofOptions]),
      uses: [],
    };
  });
  const texts = recordables
    .filter(({ kind }) => kind === 'text')
    .map(({ place, name, voice, language, says, use }): SpokenThing => {
      const recorded = takeOf(use, facts);
      return {
        ...{ id: place, name, kind: 'text', voice, language: languages[language], uses: [] },
        sentences: recorded
          ? [recordedSentence(recorded, voice, { type: 'line' })]
          : sentencesOf(says.words, voice, { type: 'line' }, facts),
        ...stateOf(use ? [{ use, says }] : []),
      };
    });
  return [...library, ...sheets, ...texts];
}
