import {
  keys,
  withoutTakes,
  type Key,
  type Sheet,
  type TakePart,
  type TakeUse,
  type VoiceId,
} from '@locutor/core/line';
import { optionsSaid, sheetSentences, withoutClips, type Sentence, type SpokenFacts } from '@locutor/core/speech';
import type { Around } from '../../takes/Recorder';

/** A part of a sheet that can be recorded by itself. */
export interface SheetPart {
  /** As in the place of its recordings. */
  readonly value: string;
  readonly label: string;
  readonly part: TakePart;
}

const whole: SheetPart = { value: 'whole', label: 'all of it in one', part: { type: 'whole' } };

/** The parts of a sheet, all of it in one first. */
export function partsOf(sheet: Sheet): readonly [SheetPart, ...SheetPart[]] {
  if (sheet.type === 'announcement') return [whole];
  const options = optionsSaid(sheet).map(({ key, label }): SheetPart => {
    return { value: `option ${key}`, label: `key ${key}, ${label}`, part: { type: 'option', key } };
  });
  return [
    whole,
    { value: 'openingWords', label: 'the opening words', part: { type: 'openingWords' } },
    ...options,
    { value: 'closingWords', label: 'the closing words', part: { type: 'closingWords' } },
  ];
}

export function takeUseOf(sheet: Sheet, part: TakePart): TakeUse | null {
  if (part.type !== 'option') return sheet.takes[part.type] ?? null;
  return optionAt(sheet, part.key)?.take ?? null;
}

function optionAt(sheet: Sheet, key: Key) {
  return sheet.type === 'menu' && keys.includes(key) ? sheet.options.find((option) => option.key === key) : undefined;
}

/** What is to be read for a part, as the voice would say it. */
export function textOfPart(sheet: Sheet, part: TakePart, voice: VoiceId, facts: SpokenFacts): string {
  return sheetSentences(withoutTakes(sheet), voice, withoutClips(facts))
    .filter(({ source }) => {
      if (part.type === 'whole') return true;
      if (part.type === 'option') return source.type === 'option' && source.key === part.key;
      return source.type === 'words' && source.part === part.type;
    })
    .map(({ text }) => text)
    .join(' ');
}

/** What is written for a part; nothing for options, which are made from the keys. */
export function wordsOfPart(sheet: Sheet, part: TakePart): string {
  if (sheet.type === 'announcement') return sheet.words;
  return part.type === 'openingWords' || part.type === 'closingWords' ? sheet[part.type] : '';
}

/** Of what is heard by itself. */
export const alone: Around = { before: [], after: [], pauseMs: 0 };

/** The sentences right before and after a part; none around all of it. */
export function aroundPart(sheet: Sheet, part: TakePart, sentences: readonly Sentence[]): Around {
  const isOf = ({ source }: Sentence): boolean =>
    part.type === 'option'
      ? source.type === 'option' && source.key === part.key
      : source.type === 'words' && source.part === part.type;
  const first = sentences.findIndex(isOf);
  if (sheet.type === 'announcement' || part.type === 'whole' || first < 0) return alone;
  const last = sentences.findLastIndex(isOf);
  return {
    before: sentences.slice(Math.max(0, first - 1), first),
    after: sentences.slice(last + 1, last + 2),
    pauseMs: sentences[last]?.pauseAfterMs ?? 0,
  };
}
