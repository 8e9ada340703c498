import { Injectable } from '@nestjs/common';
import type { Member, PersonId } from '@locutor/core/directory';
import { applyEdit, isOperatorId, replacedInWords, type GreetingId, type ReferredId } from '@locutor/core/line';
import { DataSource, IsNull, type EntityManager } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { GreetingEntity } from '../greetings/greeting.entity';
import { GroupEntity } from '../groups/group.entity';
import { LineEntity } from '../lines/line.entity';
import { QueueEntity } from '../queues/queue.entity';
import { DraftEntity } from '../drafts/draft.entity';
import { storedAttendant } from '../drafts/storedAttendant';
import { invalid } from '../problems/problem';
import { UsesService } from './uses.service';

export interface Replacement {
  /** How many places now refer to the other. */
  readonly replaced: number;
  /** Where the first one is still used: on air, until the draft goes on air. In words. */
  readonly left: readonly string[];
}

/** Puts one thing in the place of another everywhere: the colleague who leaves, the box that is closed. */
@Injectable()
export class ReplacementsService {
  constructor(
    private readonly database: DataSource,
    private readonly uses: UsesService,
  ) {}

  async replace(from: ReferredId, to: ReferredId): Promise<Replacement> {
    if (from.split(':')[0] !== to.split(':')[0] || from === to) {
      throw invalid([{ at: 'to', says: 'Only another one of the same kind can be put there.' }]);
    }
    if (!((await this.uses.names())[to] ?? '')) throw invalid([{ at: 'to', says: 'What is to be put there is gone.' }]);
    const before = await this.uses.of(from);
    await this.database.transaction(async (rows) => {
      await replaceInDrafts(rows, from, to);
      await replaceInGreetings(rows, from, to);
      await replaceInBoxes(rows, from, to);
      await replaceInGroups(rows, from, to);
      await replaceInQueues(rows, from, to);
      await replaceOperators(rows, from, to);
    });
    const left = await this.uses.of(from);
    return { replaced: before.length - left.length, left };
  }
}

async function replaceInDrafts(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  for (const draft of await rows.find(DraftEntity)) {
    const before = storedAttendant(draft.attendant);
    const after = applyEdit(before, { type: 'replaceEverywhere', from, to });
    if (after === before) continue;
    const changes = { attendant: after as never, revision: draft.revision + 1, savedAt: Date.now() };
    await rows.update(DraftEntity, { lineId: draft.lineId }, changes);
  }
}

async function replaceInGreetings(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  for (const { id, words, revision } of await rows.findBy(GreetingEntity, { deletedAt: IsNull() })) {
    const now = replacedInWords(words, from, to);
    if (now !== words) await rows.update(GreetingEntity, { id }, { words: now, revision: revision + 1 });
  }
}

async function replaceInBoxes(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  for (const box of await rows.findBy(BoxEntity, { deletedAt: IsNull() })) {
    const told = box.tell.map((each) => (each.personId === from ? { ...each, personId: to as PersonId } : each));
    const isTwice = (each: (typeof told)[number], index: number): boolean =>
      told.findIndex(({ personId, by }) => personId === each.personId && by === each.by) !== index;
    await rows.update(
      BoxEntity,
      { id: box.id },
      {
        ownerId: box.ownerId === from ? (to as PersonId) : box.ownerId,
        greetingId: box.greetingId === from ? (to as GreetingId) : box.greetingId,
        tell: told.filter((each, index) => !isTwice(each, index)),
        revision: box.revision + 1,
      },
    );
  }
}

async function replaceOperators(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  if (!isOperatorId(from) || !isOperatorId(to)) return;
  for (const { id, revision } of await rows.findBy(LineEntity, { operatorId: from })) {
    await rows.update(LineEntity, { id }, { operatorId: to, revision: revision + 1 });
  }
}

async function replaceInGroups(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  for (const { id, members, revision } of await rows.findBy(GroupEntity, { deletedAt: IsNull() })) {
    const now = replacedMembers(members, from, to);
    if (now !== members) await rows.update(GroupEntity, { id }, { members: now, revision: revision + 1 });
  }
}

async function replaceInQueues(rows: EntityManager, from: ReferredId, to: ReferredId): Promise<void> {
  for (const queue of await rows.findBy(QueueEntity, { deletedAt: IsNull() })) {
    const { id, holdGreetingId, waiting, revision } = queue;
    await rows.update(
      QueueEntity,
      { id },
      {
        members: replacedMembers(queue.members, from, to),
        holdGreetingId: holdGreetingId === from ? (to as GreetingId) : holdGreetingId,
        waiting: waiting.map((part) =>
          part.type === 'greeting' && part.greetingId === from ? { ...part, greetingId: to as GreetingId } : part,
        ),
        revision: revision + 1,
      },
    );
  }
}

/** Where both were members, only the one who stays is, in their own place. */
function replacedMembers(members: Member[], from: ReferredId, to: ReferredId): Member[] {
  if (!members.some(({ personId }) => personId === from)) return members;
  const isThere = members.some(({ personId }) => personId === to);
  if (isThere) return members.filter(({ personId }) => personId !== from);
  return members.map((member) => (member.personId === from ? { ...member, personId: to as PersonId } : member));
}
