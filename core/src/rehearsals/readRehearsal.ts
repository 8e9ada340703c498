import { boxId, contactId, groupId, personId, queueId } from '../directory';
import { isReading } from '../hours';
import { idPattern } from '../id';
import { lineId, sheetId } from '../line';
import { z } from 'zod';
import { right, wrong, type Result } from '../result';
import { rehearsalLimits, sceneEnds, sceneStaffDoes, type Expectation, type Scene } from './rehearsal';

/** Something in a rehearsal that came from outside is not as it should be. */
export interface NotARehearsal {
  readonly type: 'notARehearsal';
  /** Where in it, such as `acts.0.keys`. */
  readonly at: string;
}

const anyId = z.string().regex(idPattern(personId, groupId, queueId, boxId, contactId, lineId, sheetId));
const act = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('press'), keys: z.string().regex(/^[0-9*#]{1,20}$/) }),
  z.strictObject({ type: z.literal('wait') }),
  z.strictObject({ type: z.literal('say'), words: z.string().min(1).max(rehearsalLimits.words) }),
  z.strictObject({ type: z.literal('hangUp'), afterSeconds: z.int().min(0).max(rehearsalLimits.seconds) }),
]);
const does = z.enum(sceneStaffDoes);

const scene = z.strictObject({
  reading: z.string().refine(isReading),
  callerNumber: z.string().regex(/^(anonymous|\+[0-9]{2,15})$/),
  acts: z.array(act).max(rehearsalLimits.acts),
  staff: z.array(z.strictObject({ who: anyId, does })).max(rehearsalLimits.staff),
  others: does,
});

const expectation = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('reaches'), who: anyId }),
  z.strictObject({ type: z.literal('hears'), words: z.string().min(1).max(rehearsalLimits.words) }),
  z.strictObject({ type: z.literal('within'), seconds: z.int().min(1).max(rehearsalLimits.seconds) }),
  z.strictObject({ type: z.literal('ends'), how: z.enum(sceneEnds) }),
]);

export function readScene(raw: unknown): Result<Scene, NotARehearsal> {
  return read(scene, raw, 'scene');
}

export function readExpectations(raw: unknown): Result<readonly Expectation[], NotARehearsal> {
  return read(z.array(expectation).max(rehearsalLimits.expects), raw, 'expects');
}

function read<Value>(schema: z.ZodType, raw: unknown, what: string): Result<Value, NotARehearsal> {
  const result = schema.safeParse(raw);
  if (result.success) return right(result.data as Value);
  return wrong({ type: 'notARehearsal', at: [what, ...(result.error.issues[0]?.path ?? [])].join('.') });
}
