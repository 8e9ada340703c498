import { presences, type BoardSays, type DeskSays, type HandsetSays } from '@locutor/core/exchange';
import { keys } from '@locutor/core/line';
import { z } from 'zod';

const id = (kind: string) => z.string().regex(new RegExp(`^${kind}:[A-Za-z0-9_-]{1,40}$`));
const key = z.enum(keys);

const handset = z.discriminatedUnion('type', [
  z.object({ type: z.literal('dial'), number: z.string().max(32), callerNumber: z.string().max(32) }),
  z.object({ type: z.literal('resume'), callId: id('call'), token: z.string().max(64) }),
  z.object({ type: z.literal('key'), key }),
  z.object({ type: z.literal('speak'), words: z.string().min(1).max(200) }),
  z.object({ type: z.literal('hangUp') }),
]);

const transferTo = z.discriminatedUnion('type', [
  z.object({ type: z.literal('person'), personId: id('person') }),
  z.object({ type: z.literal('group'), groupId: id('group') }),
  z.object({ type: z.literal('queue'), queueId: id('queue') }),
]);

const desk = z.discriminatedUnion('type', [
  z.object({ type: z.literal('answer') }),
  z.object({ type: z.literal('decline') }),
  z.object({ type: z.literal('key'), key }),
  z.object({ type: z.literal('hangUp') }),
  z.object({ type: z.literal('hold'), on: z.boolean() }),
  z.object({ type: z.literal('transfer'), to: transferTo }),
  z.object({ type: z.literal('consult'), personId: id('person') }),
  z.object({ type: z.literal('sendOn') }),
  z.object({ type: z.literal('pick'), callId: id('call') }),
  z.object({ type: z.literal('dial'), digits: z.string().regex(/^[0-9*#]{1,12}$/) }),
  z.object({ type: z.literal('presence'), presence: z.enum(presences) }),
]);

const board = z.object({
  type: z.literal('outside'),
  callId: id('call'),
  act: z.enum(['answer', 'busy', 'noSuchNumber', 'failed', 'accept', 'hangUp']),
});

/** What came over a socket, checked; undefined when it is nothing that can be meant. */
function reader<Said>(schema: z.ZodType): (text: string) => Said | undefined {
  return (text) => {
    try {
      const read = schema.safeParse(JSON.parse(text));
      return read.success ? (read.data as Said) : undefined;
    } catch {
      return undefined;
    }
  };
}

export const readHandset = reader<HandsetSays>(handset);
export const readDesk = reader<DeskSays>(desk);
export const readBoard = reader<BoardSays>(board);
