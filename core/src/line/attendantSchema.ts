import { z } from 'zod';
import {
  boxId,
  callerListId,
  contactId,
  groupId,
  groupLimits,
  mostTold,
  nameParts,
  personId,
  queueId,
  closedReasons,
  queueReasons,
  tellWays,
} from '../directory';
import { periodId, specialDateId } from '../hours';
import type { IdKind } from '../id';
import { mostFallbacks, mostNamedPaths, schemaVersion, type Attendant } from './attendant';
import { longestWords } from './greeting';
import { greetingId, lineId, namedPathId, sheetId } from './ids';
import { keys } from './key';
import { longestLabel, longestSheetName, menuLimits, mostSheets } from './sheet';
import { longestRingSeconds, longestTypedNumber, mostSteps, shortestRingSeconds } from './step';
import { takeId } from './take';
import { plainName, plainText } from '../text';
import { isVoiceId, voicePattern } from './voice';

const id = (kind: IdKind<string>) => z.string().regex(kind.pattern);
const words = z.string().overwrite(plainText).max(longestWords);
const count = ({ least, most }: { least: number; most: number }) => z.int().min(least).max(most);

const spoken = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('typed'), words }),
  z.strictObject({ type: z.literal('greeting'), greetingId: id(greetingId) }),
]);

const ringSeconds = count({ least: shortestRingSeconds, most: longestRingSeconds });
const hear = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('ringback') }),
  z.strictObject({ type: z.literal('music') }),
  z.strictObject({ type: z.literal('greeting'), greetingId: id(greetingId) }),
]);
const ringing = { seconds: ringSeconds.nullable(), before: words, hear };
const outside = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('contact'), contactId: id(contactId) }),
  z.strictObject({ type: z.literal('number'), number: z.string().max(longestTypedNumber) }),
]);
/** Who is told of a message, and how. */
export const tellSchema = z.array(z.strictObject({ personId: id(personId), by: z.enum(tellWays) })).max(mostTold);

const step = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('ring'), personId: id(personId), ...ringing, onCall: z.boolean().optional() }),
  z.strictObject({ type: z.literal('ringOperator'), ...ringing, seconds: ringSeconds }),
  z.strictObject({ type: z.literal('ringOutside'), to: outside, accept: z.boolean(), ...ringing }),
  z.strictObject({
    type: z.literal('ringGroup'),
    groupId: id(groupId),
    seconds: count(groupLimits.inAllSeconds).nullable(),
    before: words,
    hear,
  }),
  z.strictObject({ type: z.literal('waitInQueue'), queueId: id(queueId) }),
  z.strictObject({ type: z.literal('handOver'), to: outside, before: words }),
  z.strictObject({ type: z.literal('toLine'), lineId: id(lineId) }),
  z.strictObject({ type: z.literal('say'), spoken }),
  z.strictObject({
    type: z.literal('takeMessage'),
    boxId: id(boxId),
    beep: z.boolean().nullable(),
    tell: tellSchema.nullable(),
  }),
  z.strictObject({ type: z.literal('goTo'), sheetId: id(sheetId) }),
  z.strictObject({ type: z.literal('back') }),
  z.strictObject({ type: z.literal('sayAgain') }),
  z.strictObject({ type: z.literal('searchByName'), by: z.enum(nameParts), seconds: ringSeconds }),
  z.strictObject({ type: z.literal('askExtension'), seconds: ringSeconds }),
  z.strictObject({ type: z.literal('followPath'), pathId: id(namedPathId) }),
  z.strictObject({ type: z.literal('record'), on: z.boolean(), tells: z.boolean() }),
  z.strictObject({ type: z.literal('hangUp'), words }),
]);

const path = z.array(step).max(mostSteps);

const takeUse = z.strictObject({ takeId: id(takeId), byVoice: z.boolean() });
const takes = z.strictObject({
  whole: takeUse.optional(),
  openingWords: takeUse.optional(),
  closingWords: takeUse.optional(),
});
const voice = z.string().regex(voicePattern).refine(isVoiceId);

const option = z.strictObject({
  key: z.enum(keys),
  label: z.string().overwrite(plainName).max(longestLabel),
  readOut: z.boolean(),
  path,
  take: takeUse.optional(),
});

const name = z.string().overwrite(plainName).trim().min(1).max(longestSheetName);
const sheetHead = { id: id(sheetId), name, voice: voice.nullable(), takes };

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
  extensions: z.strictObject({ waitSeconds: count(menuLimits.extensionWaitSeconds) }).nullable(),
  speech: z.boolean(),
});

const announcement = z.strictObject({ type: z.literal('announcement'), ...sheetHead, words, afterPath: path });

const namedPath = z.strictObject({ id: id(namedPathId), name, steps: path });

/** Far more periods, lists and special dates than anybody gives answers of their own. */
const mostRules = 100;
const rule = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('period'), periodId: id(periodId), path }),
  z.strictObject({ type: z.literal('callers'), callerListId: id(callerListId), path }),
  z.strictObject({ type: z.literal('special'), specialId: id(specialDateId).nullable(), path }),
]);

const fallback = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('group'), groupId: id(groupId), path }),
  z.strictObject({ type: z.literal('groupClosed'), groupId: id(groupId), reason: z.enum(closedReasons), path }),
  z.strictObject({ type: z.literal('queue'), queueId: id(queueId), reason: z.enum(queueReasons), path }),
]);

/** The shape of the attendant document: the one place that says which JSON is one. */
export const attendantSchema = z.strictObject({
  schemaVersion: z.literal(schemaVersion),
  voice,
  sheets: z.array(z.discriminatedUnion('type', [menu, announcement])).max(mostSheets),
  paths: z.array(namedPath).max(mostNamedPaths),
  answering: z.strictObject({ rules: z.array(rule).max(mostRules), otherwise: path }),
  fallbacks: z.array(fallback).max(mostFallbacks),
}) as unknown as z.ZodType<Attendant>;

/** The document's shape as JSON Schema (draft 2020-12), for those who write attendants with other tools. */
export function attendantJsonSchema(): Record<string, unknown> {
  return z.toJSONSchema(attendantSchema, { io: 'input' });
}
