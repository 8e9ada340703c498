import { z } from 'zod';
import { boxId, personId } from '../directory';
import { periodId } from '../hours';
import type { IdKind } from '../id';
import { mostPeriods } from '../hours';
import { schemaVersion, type Attendant } from './attendant';
import { longestWords } from './greeting';
import { greetingId, sheetId } from './ids';
import { keys } from './key';
import { longestLabel, longestSheetName, menuLimits, mostSheets } from './sheet';
import { longestRingSeconds, mostSteps, shortestRingSeconds } from './step';
import { voiceIds } from './voice';

const id = (kind: IdKind<string>) => z.string().regex(kind.pattern);
const words = z.string().max(longestWords);
const count = ({ least, most }: { least: number; most: number }) => z.int().min(least).max(most);

const spoken = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('typed'), words }),
  z.strictObject({ type: z.literal('greeting'), greetingId: id(greetingId) }),
]);

const step = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('ring'),
    personId: id(personId),
    seconds: count({ least: shortestRingSeconds, most: longestRingSeconds }),
  }),
  z.strictObject({ type: z.literal('say'), spoken }),
  z.strictObject({ type: z.literal('takeMessage'), boxId: id(boxId) }),
  z.strictObject({ type: z.literal('goTo'), sheetId: id(sheetId) }),
  z.strictObject({ type: z.literal('sayAgain') }),
  z.strictObject({ type: z.literal('hangUp'), words }),
]);

const path = z.array(step).max(mostSteps);

const option = z.strictObject({
  key: z.enum(keys),
  label: z.string().max(longestLabel),
  readOut: z.boolean(),
  path,
});

const sheetHead = { id: id(sheetId), name: z.string().trim().min(1).max(longestSheetName) };

const menu = z.strictObject({
  type: z.literal('menu'),
  ...sheetHead,
  openingWords: words,
  options: z.array(option).max(keys.length),
  closingWords: words,
  keysDuringGreeting: z.boolean(),
  waitSeconds: count(menuLimits.waitSeconds),
  silentRounds: count(menuLimits.silentRounds),
  silenceWords: words,
  silencePath: path,
  wrongKeys: count(menuLimits.wrongKeys),
  wrongKeyWords: words,
  wrongKeyPath: path,
});

const announcement = z.strictObject({ type: z.literal('announcement'), ...sheetHead, words, afterPath: path });

const rule = z.strictObject({ periodId: id(periodId), path });

/** The shape of the attendant document: the one place that says which JSON is one. */
export const attendantSchema = z.strictObject({
  schemaVersion: z.literal(schemaVersion),
  voice: z.enum(voiceIds),
  sheets: z.array(z.discriminatedUnion('type', [menu, announcement])).max(mostSheets),
  answering: z.strictObject({ rules: z.array(rule).max(mostPeriods), otherwise: path }),
}) as unknown as z.ZodType<Attendant>;

/** The document's shape as JSON Schema (draft 2020-12), for those who write attendants with other tools. */
export function attendantJsonSchema(): Record<string, unknown> {
  return z.toJSONSchema(attendantSchema, { io: 'input' });
}
