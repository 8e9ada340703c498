import { longestPauseMs, longestSoundMs, mostCuts } from '@locutor/core/audio';
import {
  holdMusicPlace,
  keys,
  longestLabel,
  longestWords,
  textPlacePattern,
  unknownReasons,
  type TakeVerdict,
} from '@locutor/core/line';
import { z } from 'zod';
import { PatternField, TextField } from '../problems/fields';
import { invalid } from '../problems/problem';
import { takeSources, type TakeSource } from './take.entity';
import type { Recipe } from '@locutor/core/audio';
import type { TakeSays } from '@locutor/core/line';

const id = '[A-Za-z0-9_-]{1,40}';
/** A greeting of the library, a part of a sheet of a line, or any other text by its words. */
const placePattern = new RegExp(
  `^(?:greeting:${id}|line:${id} sheet:${id} (?:whole|openingWords|closingWords|option [0-9*#])|${textPlacePattern.source.slice(1, -1)}|${holdMusicPlace})$`,
);
export const placeRule = { pattern: placePattern, says: 'Say what it is a recording of: a greeting, a sheet, a text.' };
const longestFileName = 255;
/** Live parts can say more than stands in the words. */
export const longestText = 2 * longestWords;

/** The fields beside the file; recipe, says and law come as text. */
export class BringTakeDto {
  @PatternField(placeRule)
  place: string;

  @PatternField({
    pattern: new RegExp(`^(?:${takeSources.join('|')})$`),
    says: `A recording comes from one of ${takeSources.join(', ')}.`,
  })
  source: TakeSource;

  @TextField({ name: 'The name of the file', least: 0, most: longestFileName, optional: true })
  fileName?: string;

  /** For music: that the business has the right to play it to callers. */
  @PatternField({
    pattern: /^yes$/,
    says: 'Whether you have the right to play it is yes, or left out.',
    optional: true,
  })
  rights?: 'yes';

  @PatternField({ pattern: /^(?:mu|a)?$/, says: 'The law is mu or a.', optional: true })
  law?: 'mu' | 'a' | '';

  @TextField({ name: 'What is heard', lines: true, least: 0, most: longestText, optional: true })
  text?: string;

  /** As JSON: what the recording says now, to know later whether it still does. */
  @TextField({ name: 'What the recording says', lines: true, least: 2, most: 40_000, optional: true })
  says?: string;

  /** As JSON: what is done to it. */
  @TextField({ name: 'What is done to the recording', lines: true, least: 2, most: 40_000, optional: true })
  recipe?: string;
}

export class PolishTakeDto {
  @TextField({ name: 'What is done to the recording', lines: true, least: 2, most: 40_000 })
  recipe: string;
}

/** How a recording is told of: its words for captions, what it should say, and what the manager says that it does. */
export class ChangeTakeDto {
  @TextField({ name: 'What is heard', lines: true, least: 0, most: longestText, optional: true })
  text?: string;

  @TextField({ name: 'What the recording says', lines: true, least: 2, most: 40_000, optional: true })
  says?: string;

  /** The manager's answer to what it says, word for word. */
  @TextField({ name: 'What is said in it', lines: true, least: 1, most: longestText, optional: true })
  answer?: string;

  /** As JSON: what was known of it before, to take an answer back. */
  @TextField({ name: 'What was known of it', lines: true, least: 2, most: 40_000, optional: true })
  verdict?: string;
}

const ms = z.number().min(0).max(longestSoundMs);
const recipe = z.strictObject({
  cuts: z.array(z.strictObject({ fromMs: ms, toMs: ms })).max(mostCuts),
  pauses: z.array(z.strictObject({ atMs: ms, ms: z.number().min(0).max(longestPauseMs) })).max(mostCuts),
  lessNoise: z.boolean(),
  trim: z.boolean(),
  sameLoudness: z.boolean(),
  fades: z.boolean(),
});

const livePart = z.union([
  z.strictObject({ type: z.enum(['options', 'business']) }),
  z.strictObject({ type: z.enum(['today', 'week', 'opens', 'special']), hoursId: z.string().max(60).nullable() }),
  z.strictObject({ type: z.enum(['name', 'extension']), personId: z.string().max(60) }),
]);
const says = z.strictObject({
  words: z.string().max(longestText),
  options: z.array(z.strictObject({ key: z.enum(keys), label: z.string().max(longestLabel) })).max(keys.length),
  live: z.array(z.strictObject({ part: livePart, said: z.string().max(longestText) })).max(100),
});

const part = z.strictObject({ text: z.string().max(longestText), insteadOf: z.string().max(longestText).nullable() });
const by = z.enum(['listening', 'manager']);
const verdict = z.union([
  z.null(),
  z.strictObject({ type: z.literal('right'), by }),
  z.strictObject({ type: z.literal('other'), by, parts: z.array(part).max(1000) }),
  z.strictObject({ type: z.literal('unknown'), why: z.enum(unknownReasons) }),
]);

export const readVerdict = (text: string): TakeVerdict | null =>
  read(text, verdict, 'verdict', 'What was known of the recording');
export const readRecipe = (text: string): Recipe => read(text, recipe, 'recipe', 'What is done to the recording');
export const readSays = (text: string): TakeSays => read(text, says, 'says', 'What the recording says') as TakeSays;

/** @throws Problem 422 when it is not what it should be. */
function read<Value>(text: string, schema: z.ZodType<Value>, at: string, name: string): Value {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw invalid([{ at, says: `${name} was not understood: it is no JSON.` }]);
  }
  const result = schema.safeParse(json);
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  throw invalid([{ at, says: `${name} was not understood at ${issue?.path.join('.') || 'its beginning'}.` }]);
}
