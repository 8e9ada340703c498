import { rm } from 'node:fs/promises';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { BoxId, PersonId, Tell } from '@locutor/core/directory';
import { tellSchema } from '@locutor/core/line';
import { idKind } from '@locutor/core/id';
import { IsNull, Not, Repository } from 'typeorm';
import { AudioStore } from '../audio/audioStore';
import { Clock } from '../clock/clock';
import { BoxesService } from '../boxes/boxes.service';
import { OutboxItemEntity } from '../outbox/outboxItem.entity';
import { OutboxService } from '../outbox/outbox.service';
import { invalid, notFound } from '../problems/problem';
import { Reckoning } from '../reckoning/reckoning.module';
import type { Spoken } from '../reckoning/spoken';
import { newId } from '../rows/newId';
import type { LeaveMessageDto } from './message.dto';
import { MessageEntity, type MessageId } from './message.entity';

const messageId = idKind('message');
const mostByPhone = 50;

/** A message, besides its sound. */
export interface LeftMessage {
  readonly boxId: BoxId;
  readonly callerNumber: string;
  /** In ms since 1970. */
  readonly leftAt: number;
  readonly tell: readonly Tell[];
  /** What was typed in place of speaking; empty for nothing. */
  readonly words: string;
}

/** The longest a box takes, and a little for the audio's edges. */
const longestMs = 605_000;

const refusals = {
  notWav: 'The message’s audio is not a WAV file that can be read.',
  tooLong: 'The message is longer than 10 minutes.',
} as const;

@Injectable()
export class MessagesService {
  constructor(
    @InjectRepository(MessageEntity) private readonly messages: Repository<MessageEntity>,
    private readonly boxes: BoxesService,
    private readonly audio: AudioStore,
    private readonly outbox: OutboxService,
    private readonly clock: Clock,
    private readonly reckoning: Reckoning,
  ) {}

  /** Newest first; those that were deleted where they are asked for. */
  list(deleted = false): Promise<MessageEntity[]> {
    const deletedAt = deleted ? Not(IsNull()) : IsNull();
    return this.messages.find({ where: { deletedAt }, order: { leftAt: 'DESC' }, take: 500 });
  }

  /** Puts a copy in another box, whose people are told of it. */
  async forwardToBox(id: MessageId, boxId: BoxId): Promise<MessageEntity> {
    const { callerNumber, leftAt, lengthMs: ms, audioId, trial, silent, words } = await this.get(id);
    const box = await this.boxes.get(boxId);
    const copy = { id: newId(messageId), boxId, callerNumber, leftAt, trial, lengthMs: ms, audioId, silent, words };
    return this.add({ ...copy, tell: box.tell });
  }

  async forwardToPerson(id: MessageId, personId: PersonId): Promise<MessageEntity> {
    const message = await this.get(id);
    await this.outbox.forward(message, await this.boxName(message), personId);
    return message;
  }

  /** Keeps a message with what tells of it, both or neither; of a trial, or one into which nobody spoke, nobody is told. */
  private async add(row: Omit<MessageEntity, 'heard' | 'deletedAt'>): Promise<MessageEntity> {
    const message = { ...row, heard: false, deletedAt: null };
    const isTold = !message.trial && !message.silent;
    const items = isTold ? await this.outbox.write(message, await this.boxName(message), message.tell) : [];
    await this.messages.manager.transaction(async (rows) => {
      await rows.insert(MessageEntity, message);
      for (const item of items) await rows.insert(OutboxItemEntity, item);
    });
    this.outbox.sendSoon();
    return message;
  }

  private async boxName({ boxId }: MessageEntity): Promise<string> {
    return (await this.boxes.list()).find(({ id }) => id === boxId)?.name ?? 'a deleted box';
  }

  /** @param path where the message's file is, which is gone then */
  async leave(boxId: BoxId, { callerNumber, trial, tell }: LeaveMessageDto, path: string): Promise<MessageEntity> {
    const [box, sound] = await this.leftIn(boxId, path).finally(() => rm(path, { force: true }));
    if (typeof sound === 'string') throw invalid([{ at: 'audio', says: refusals[sound] }]);
    return this.add({
      id: newId(messageId),
      boxId,
      callerNumber,
      trial: trial === 'true',
      leftAt: this.clock.now(),
      lengthMs: sound.lengthMs,
      audioId: await this.audio.keep(sound.wav),
      tell: tell === undefined ? box.tell : readTell(tell),
      silent: sound.isSilent,
      words: '',
    });
  }

  private async leftIn(boxId: BoxId, path: string) {
    const box = await this.boxes.get(boxId);
    return [box, await this.reckoning.of('leftAs', { path, mostMs: longestMs })] as const;
  }

  /**
   * Keeps a message that was spoken on the live line. What it was recorded as names it: it is kept once, though the server was
   * killed just after, or it is tried again.
   */
  async keep(takeId: string, left: LeftMessage, sound: Spoken): Promise<MessageEntity> {
    const id = messageId.create(takeId.replace(/^take:/, ''));
    const known = await this.messages.findOneBy({ id });
    if (known) return known;
    const audioId = await this.audio.keep(sound.wav);
    const silent = left.words === '' && sound.isSilent;
    const kept = { id, audioId, lengthMs: sound.lengthMs, silent, trial: false };
    return this.add({ ...kept, ...left, tell: [...left.tell] });
  }

  /** What is to be heard in a box by phone: what was not heard yet, oldest first; then the rest. */
  async inBox(boxId: BoxId): Promise<MessageEntity[]> {
    const order = { heard: 'ASC', leftAt: 'ASC' } as const;
    return this.messages.find({ where: { boxId, deletedAt: IsNull() }, order, take: mostByPhone });
  }

  mark(id: MessageId, heard: boolean): Promise<MessageEntity> {
    return this.change(id, { heard });
  }

  async remove(id: MessageId): Promise<void> {
    await this.change(id, { deletedAt: this.clock.now() });
  }

  restore(id: MessageId): Promise<MessageEntity> {
    return this.change(id, { deletedAt: null });
  }

  private async change(id: MessageId, changes: Partial<MessageEntity>): Promise<MessageEntity> {
    await this.get(id);
    await this.messages.update({ id }, changes);
    return this.get(id);
  }

  private async get(id: MessageId): Promise<MessageEntity> {
    const message = await this.messages.findOneBy({ id });
    if (!message) throw notFound('That message');
    return message;
  }
}

function readTell(json: string): Tell[] {
  const read = tellSchema.safeParse(JSON.parse(json));
  if (!read.success) throw invalid([{ at: 'tell', says: 'Who is told of the message cannot be read.' }]);
  return read.data as Tell[];
}
