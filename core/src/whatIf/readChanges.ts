import { z } from 'zod';
import { groupId, membershipLimits, personId, queueId, queueLimits } from '../directory';
import { minutesOfDay } from '../hours';
import { callsLimits, changedSeconds, mostChanges, type Change } from './change';

const idOf = <Kind extends string>({ pattern }: { readonly pattern: RegExp }) =>
  z.custom<Kind>((value) => typeof value === 'string' && pattern.test(value));
const group = idOf<ReturnType<typeof groupId.create>>(groupId);
const queue = idOf<ReturnType<typeof queueId.create>>(queueId);
const person = idOf<ReturnType<typeof personId.create>>(personId);
const either = z.union([group, queue]);
const weekday = z.union([1, 2, 3, 4, 5, 6, 7].map((day) => z.literal(day as 1 | 2 | 3 | 4 | 5 | 6 | 7)));
const on = z.array(weekday).max(7);
const whole = (least: number, most: number) => z.int().min(least).max(most);

const change = z.discriminatedUnion('type', [
  z.object({ type: z.literal('calls'), percent: whole(callsLimits.least, callsLimits.most), on }),
  z.object({ type: z.literal('moreMembers'), of: either.nullable(), who: person.nullable(), on }),
  z.object({ type: z.literal('fewerMembers'), of: either.nullable(), who: person.nullable(), on }),
  z.object({ type: z.literal('away'), who: person.nullable(), on }),
  z.object({
    ...{ type: z.literal('seconds'), of: either.nullable(), what: z.enum(changedSeconds), on },
    to: whole(0, queueLimits.longestWaitSeconds.most),
  }),
  z.object({
    ...{ type: z.literal('mostCallers'), of: queue.nullable(), on },
    to: whole(queueLimits.mostCallers.least, queueLimits.mostCallers.most),
  }),
  z.object({ type: z.literal('queueForGroup'), of: group.nullable(), on }),
  z.object({
    ...{ type: z.literal('open'), on },
    ...{ fromMin: whole(0, minutesOfDay - 1), toMin: whole(1, 2 * minutesOfDay) },
  }),
]);

/** What seconds of a queue or group may be. */
export const secondsLimits = {
  memberSeconds: membershipLimits.memberSeconds,
  restSeconds: membershipLimits.restSeconds,
  longestWaitSeconds: queueLimits.longestWaitSeconds,
} as const;

/** Changes as they stand in an address; those that make no sense are left out. */
export function readChanges(text: string | null): readonly Change[] {
  let read: unknown;
  try {
    read = JSON.parse(text ?? '[]');
  } catch {
    return [];
  }
  if (!Array.isArray(read)) return [];
  return read.slice(0, mostChanges).flatMap((each): readonly Change[] => {
    const checked = change.safeParse(each);
    if (!checked.success) return [];
    const { data } = checked;
    if (data.type === 'open' && data.toMin <= data.fromMin) return [];
    if (data.type !== 'seconds') return [data];
    const { least, most } = secondsLimits[data.what];
    return data.to >= least && data.to <= most ? [data] : [];
  });
}
