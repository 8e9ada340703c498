import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { queueDefaults, type Queue, type QueueId, type WaitingPart } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { ExtensionsService } from '../extensions/extensions.service';
import { GreetingsService } from '../greetings/greetings.service';
import { MembershipService } from '../groups/membership.service';
import { HoursService } from '../hours/hours.service';
import { PeopleService } from '../people/people.service';
import { invalid } from '../problems/problem';
import { definedOf } from '../rows/definedOf';
import { UsesService } from '../uses/uses.service';
import type { AddQueueDto, ChangeQueueDto, WaitingPartDto } from './queue.dto';
import { QueueEntity } from './queue.entity';

@Injectable()
export class QueuesService extends MembershipService<QueueId, QueueEntity> {
  protected override readonly listed = 'queues';
  protected override readonly uniquelyNamed = 'queue';

  constructor(
    @InjectRepository(QueueEntity) queues: Repository<QueueEntity>,
    uses: UsesService,
    extensions: ExtensionsService,
    people: PeopleService,
    hours: HoursService,
    private readonly greetings: GreetingsService,
  ) {
    super(queues, uses, extensions, people, hours);
  }

  addQueue(id: QueueId, body: AddQueueDto): Promise<QueueEntity> {
    const waiting = [...queueDefaults.waiting];
    return this.add({ ...queueDefaults, waiting, members: [], ...read(body), name: body.name, id });
  }

  changeQueue(id: QueueId, revision: number, changes: Omit<ChangeQueueDto, 'revision'>): Promise<QueueEntity> {
    return this.change(id, revision, read(changes));
  }

  protected async check(queue: Queue): Promise<void> {
    await this.checkMembership(queue);
    if (queue.holdGreetingId) await this.greetings.get(queue.holdGreetingId);
    for (const part of queue.waiting) if (part.type === 'greeting') await this.greetings.get(part.greetingId);
  }
}

/** What was sent as it is kept: of a stretch only what its kind has. */
function read({ waiting, ...others }: Omit<ChangeQueueDto, 'revision'>): Partial<QueueEntity> {
  return { ...definedOf(others), ...(waiting ? { waiting: waiting.map(partOf) } : {}) };
}

function partOf({ type, seconds, words, greetingId }: WaitingPartDto): WaitingPart {
  if (type === 'music' && seconds !== undefined) return { type, seconds };
  if (type === 'words' && words !== undefined) return { type, words };
  if (type === 'greeting' && greetingId !== undefined) return { type, greetingId };
  throw invalid([{ at: 'waiting', says: 'Music needs its seconds, words their text, and a greeting its id.' }]);
}
