import { Injectable } from '@nestjs/common';
import {
  boxId,
  peopleOfRota,
  personId,
  type Member,
  type PersonId,
  type Rota,
  type Tell,
} from '@locutor/core/directory';
import { applyEdit, isOperatorId, replacedInWords, type GreetingId, type ReferredId } from '@locutor/core/line';
import { dutyDay, replacePerson } from '@locutor/core/rota';
import { DataSource, IsNull, type EntityManager } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { Clock } from '../clock/clock';
import { DraftEntity } from '../drafts/draft.entity';
import { storedAttendant } from '../drafts/storedAttendant';
import { GreetingEntity } from '../greetings/greeting.entity';
import { Foresight, type OfficeChange } from '../foresight/foresight';
import { GroupEntity } from '../groups/group.entity';
import { LineEntity } from '../lines/line.entity';
import { MessageEntity, type MessageId } from '../messages/message.entity';
import { invalid, notFound } from '../problems/problem';
import { QueueEntity } from '../queues/queue.entity';
import { newReplacementId, type ReplacementId } from './replacementId';
import { UsesService } from './uses.service';
import { entityOf, Writer } from './writer';

/** What a replacement would do, and did: where the other one is now, and where the first still is. */
export interface Plan {
  readonly replaced: readonly string[];
  readonly left: readonly string[];
  /** How many messages go with it to another box. */
  readonly messages: number;
}

export interface Replacement extends Plan {
  readonly id: ReplacementId;
  /** Whether the first was deleted, since nothing needs it any more. */
  readonly removed: boolean;
}

/** What is asked: another one put in its place, or nobody, which only people can be taken out for. */
export interface Replacing {
  readonly from: ReferredId;
  readonly to: ReferredId | null;
  /** Whether the first is to be deleted once nothing needs it. */
  readonly remove?: boolean;
}

interface Done {
  readonly writer: Writer;
  readonly messages: readonly MessageId[];
  readonly fromBox: string;
}

/** So many can still be taken back, until the server is stopped. */
const mostKept = 50;

/** Lets something go: the colleague who leaves, the box that is closed. Another takes its place everywhere, or nobody does. */
@Injectable()
export class ReplacementsService {
  private readonly done = new Map<ReplacementId, Done>();

  constructor(
    private readonly database: DataSource,
    private readonly uses: UsesService,
    private readonly foresight: Foresight,
    private readonly clock: Clock,
  ) {}

  /** What it would do, with nothing done yet. */
  async plan({ from, to }: Replacing): Promise<Plan> {
    await this.check(from, to);
    const isGone = await this.uses.goesWith(from, to === null ? 'out' : 'replaced');
    return { ...isGone, messages: await this.messagesOf(from, to) };
  }

  async replace({ from, to, remove = false }: Replacing): Promise<Replacement> {
    await this.check(from, to);
    const { replaced } = await this.uses.goesWith(from, to === null ? 'out' : 'replaced');
    if (this.foresight.isWanted) await this.foresight.mustNotBreak(await this.officeAfter(from, to));
    const writer = new Writer();
    const messages: MessageId[] = [];
    await this.database.transaction(async (rows) => {
      if (to) {
        await replaceInDrafts(writer, rows, from, to);
        await replaceInGreetings(writer, rows, from, to);
      }
      await replaceInDirectory(writer, rows, from, to, this.clock.now());
      if (boxId.is(from) && boxId.is(to)) messages.push(...(await moveMessages(rows, from, to)));
    });
    const left = await this.uses.of(from);
    const removed = remove && left.length === 0;
    if (removed) await this.database.transaction((rows) => writer.remove(rows, from));
    const id = newReplacementId();
    this.keep(id, { writer, messages, fromBox: from });
    return { id, replaced, left, messages: messages.length, removed };
  }

  /** Takes it back, but for what somebody changed since then. @throws Problem 404 when it can no longer be. */
  async undo(id: ReplacementId): Promise<{ readonly changedSince: number }> {
    const done = this.done.get(id);
    if (!done) throw notFound('What was replaced');
    this.done.delete(id);
    const changedSince = await this.database.transaction(async (rows) => {
      for (const each of done.messages)
        await rows.update(MessageEntity, { id: each }, { boxId: done.fromBox as never });
      return done.writer.takeBack(rows);
    });
    return { changedSince };
  }

  /** What of the office would be otherwise: it is done, looked at and undone again. */
  private async officeAfter(from: ReferredId, to: ReferredId | null): Promise<OfficeChange> {
    const runner = this.database.createQueryRunner();
    try {
      await runner.startTransaction();
      const rows = runner.manager;
      await replaceInDirectory(new Writer(), rows, from, to, this.clock.now());
      const there = { deletedAt: IsNull() };
      return {
        groups: await rows.findBy(GroupEntity, there),
        queues: await rows.findBy(QueueEntity, there),
        boxes: await rows.findBy(BoxEntity, there),
        lines: await rows.find(LineEntity),
      };
    } finally {
      if (runner.isTransactionActive) await runner.rollbackTransaction();
      await runner.release();
    }
  }

  private keep(id: ReplacementId, done: Done): void {
    this.done.set(id, done);
    const [oldest] = this.done.keys();
    if (oldest && this.done.size > mostKept) this.done.delete(oldest);
  }

  private async check(from: ReferredId, to: ReferredId | null): Promise<void> {
    if (to === null) {
      if (personId.is(from)) return;
      throw invalid([{ at: 'to', says: 'Say what is to be put there.' }]);
    }
    if (from.split(':')[0] !== to.split(':')[0] || from === to) {
      throw invalid([{ at: 'to', says: 'Only another one of the same kind can be put there.' }]);
    }
    const entity = entityOf(to);
    const there = entity && (await this.database.getRepository(entity).existsBy({ id: to, deletedAt: IsNull() }));
    const isLine = to.startsWith('line:') && Boolean((await this.uses.names())[to]);
    if (!there && !isLine) throw invalid([{ at: 'to', says: 'What is to be put there is gone.' }]);
  }

  private messagesOf(from: ReferredId, to: ReferredId | null): Promise<number> | number {
    if (!boxId.is(from) || !to) return 0;
    return this.database.getRepository(MessageEntity).countBy({ boxId: from, deletedAt: IsNull() });
  }
}

async function moveMessages(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<readonly MessageId[]> {
  const moved = await rows.findBy(MessageEntity, { boxId: from as never });
  for (const { id } of moved) await rows.update(MessageEntity, { id }, { boxId: to as never });
  return moved.map(({ id }) => id);
}

/** The moment, by the clock of the business. */
interface When {
  readonly zone: string;
  readonly atMs: number;
}

async function replaceInDirectory(
  writer: Writer,
  rows: EntityManager,
  from: ReferredId,
  to: ReferredId | null,
  atMs: number,
): Promise<void> {
  const [line] = await rows.find(LineEntity, { order: { name: 'ASC' }, take: 1 });
  await replaceInBoxes(writer, rows, from, to);
  await replaceInGroups(writer, rows, from, to, { zone: line?.timeZone ?? 'UTC', atMs });
  await replaceInQueues(writer, rows, from, to);
  await replaceOperators(writer, rows, from, to);
}

async function replaceInDrafts(writer: Writer, rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  for (const draft of await rows.find(DraftEntity)) {
    const before = storedAttendant(draft.attendant);
    const after = applyEdit(before, { type: 'replaceEverywhere', from, to });
    if (after === before) continue;
    await writer.write(rows, DraftEntity, draft, { attendant: after as never, savedAt: Date.now() });
  }
}

async function replaceInGreetings(
  writer: Writer,
  rows: EntityManager,
  from: ReferredId,
  to: ReferredId,
): Promise<void> {
  for (const greeting of await rows.findBy(GreetingEntity, { deletedAt: IsNull() })) {
    const words = replacedInWords(greeting.words, from, to);
    if (words !== greeting.words) await writer.write(rows, GreetingEntity, greeting, { words });
  }
}

async function replaceInBoxes(
  writer: Writer,
  rows: EntityManager,
  from: ReferredId,
  to: ReferredId | null,
): Promise<void> {
  for (const box of await rows.findBy(BoxEntity, { deletedAt: IsNull() })) {
    const uses = [box.ownerId, box.greetingId, ...box.tell.map(({ personId: id }) => id)];
    if (!uses.includes(from as PersonId)) continue;
    await writer.write(rows, BoxEntity, box, {
      ownerId: box.ownerId === from ? (to as PersonId | null) : box.ownerId,
      greetingId: box.greetingId === from ? (to as GreetingId | null) : box.greetingId,
      tell: replacedTold(box.tell, from, to),
    });
  }
}

/** Where both were told in the same way, one is. */
function replacedTold(tell: readonly Tell[], from: ReferredId, to: ReferredId | null): Tell[] {
  const told =
    to === null ? tell.filter(({ personId: id }) => id !== from) : tell.map((each) => putThere(each, from, to));
  const isTwice = (each: Tell, index: number): boolean =>
    told.findIndex(({ personId: id, by }) => id === each.personId && by === each.by) !== index;
  return told.filter((each, index) => !isTwice(each, index));
}

function putThere<Each extends { readonly personId: PersonId }>(each: Each, from: ReferredId, to: ReferredId): Each {
  return each.personId === from ? { ...each, personId: to as PersonId } : each;
}

async function replaceOperators(
  writer: Writer,
  rows: EntityManager,
  from: ReferredId,
  to: ReferredId | null,
): Promise<void> {
  if (!isOperatorId(from)) return;
  for (const line of await rows.findBy(LineEntity, { operatorId: from })) {
    await writer.write(rows, LineEntity, line, { operatorId: isOperatorId(to) ? to : null });
  }
}

async function replaceInGroups(
  writer: Writer,
  rows: EntityManager,
  from: ReferredId,
  to: ReferredId | null,
  when: When,
): Promise<void> {
  for (const group of await rows.findBy(GroupEntity, { deletedAt: IsNull() })) {
    const members = replacedMembers(group.members, from, to);
    const rota = group.rota && replacedInRota(group.rota, from, to, when);
    if (members === group.members && rota === group.rota) continue;
    await writer.write(rows, GroupEntity, group, { members, rota });
  }
}

/** The turns go on from whoever is on call. */
function replacedInRota(rota: Rota, from: ReferredId, to: ReferredId | null, { zone, atMs }: When): Rota {
  if (!personId.is(from) || !peopleOfRota(rota).includes(from)) return rota;
  return replacePerson(rota, from, personId.is(to) ? to : null, dutyDay(rota, zone, atMs));
}

async function replaceInQueues(
  writer: Writer,
  rows: EntityManager,
  from: ReferredId,
  to: ReferredId | null,
): Promise<void> {
  for (const queue of await rows.findBy(QueueEntity, { deletedAt: IsNull() })) {
    const members = replacedMembers(queue.members, from, to);
    const waits = queue.waiting.some((part) => part.type === 'greeting' && part.greetingId === from);
    if (members === queue.members && !waits && queue.holdGreetingId !== from) continue;
    await writer.write(rows, QueueEntity, queue, {
      members,
      holdGreetingId: queue.holdGreetingId === from ? (to as GreetingId) : queue.holdGreetingId,
      waiting: queue.waiting.map((part) =>
        part.type === 'greeting' && part.greetingId === from ? { ...part, greetingId: to as GreetingId } : part,
      ),
    });
  }
}

/** Where both were members, only the one who stays is, in their own place. */
function replacedMembers(members: Member[], from: ReferredId, to: ReferredId | null): Member[] {
  if (!members.some(({ personId: id }) => id === from)) return members;
  const isThere = to === null || members.some(({ personId: id }) => id === to);
  if (isThere) return members.filter(({ personId: id }) => id !== from);
  return members.map((member) => putThere(member, from, to));
}
