import { readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { showPhoneNumber, type PersonId, type Tell } from '@locutor/core/directory';
import { idKind } from '@locutor/core/id';
import { LessThanOrEqual, Repository } from 'typeorm';
import { AudioStore } from '../audio/audioStore';
import { Clock, type Stop } from '../clock/clock';
import { dataFolder } from '../storage/dataFolder';
import { writeWhole } from '../storage/writeWhole';
import { unawaited } from '../log/enclosed';
import { log } from '../log/log';
import { LinesService } from '../lines/lines.service';
import type { MessageEntity } from '../messages/message.entity';
import { PeopleService } from '../people/people.service';
import { conflict, notFound, notOnDisk } from '../problems/problem';
import { newId } from '../rows/newId';
import { SettingsService } from '../settings/settings.service';
import { sendMail, writeMail, type Letter } from './mail';
import { OutboxItemEntity, type OutboxItemId } from './outboxItem.entity';

const outId = idKind('out');
/** How long after each attempt the next one is made, in minutes. */
const retryMinutes = [1, 5, 30, 120] as const;
const lookEveryMs = 20_000;
const mostListed = 500;

interface Note {
  readonly person: { readonly name: string; readonly email: string; readonly mobile: string };
  readonly by: Tell['by'];
  readonly message: MessageEntity;
  readonly boxName: string;
  readonly timeZone: string;
}

/** E-mails and texts as they are sent. Without a mail server they stay here, to be looked at. */
@Injectable()
export class OutboxService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly folder: string;
  private stopLooking: Stop | undefined;
  private sending: Promise<void> = Promise.resolve();

  constructor(
    @Inject(dataFolder) folder: string,
    @InjectRepository(OutboxItemEntity) private readonly items: Repository<OutboxItemEntity>,
    private readonly settings: SettingsService,
    private readonly people: PeopleService,
    private readonly lines: LinesService,
    private readonly audio: AudioStore,
    private readonly clock: Clock,
  ) {
    this.folder = join(folder, 'outbox');
  }

  onApplicationBootstrap(): void {
    this.stopLooking = this.clock.every(lookEveryMs, () => this.sendDue());
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.stopLooking?.();
    await this.sending;
  }

  /** Newest first. */
  list(): Promise<OutboxItemEntity[]> {
    return this.items.find({ order: { madeAt: 'DESC' }, take: mostListed });
  }

  /** The e-mail as it is sent, as a file. @throws Problem 404 when it is a text, or gone. */
  async eml(id: OutboxItemId): Promise<Buffer> {
    const item = await this.items.findOneBy({ id });
    if (item?.kind !== 'email') throw notFound('That e-mail');
    return this.fileOf(id);
  }

  /**
   * Writes what tells people of a message, each as the box or the step says; who cannot be told that way is passed over. It is
   * sent once its rows are kept, with the message: `sendSoon`.
   */
  async write(message: MessageEntity, boxName: string, told: readonly Tell[]): Promise<OutboxItemEntity[]> {
    if (told.length === 0) return [];
    const people = new Map((await this.people.list()).map((person) => [person.id, person]));
    const [line] = await this.lines.list();
    const timeZone = line?.timeZone ?? 'UTC';
    const written: OutboxItemEntity[] = [];
    for (const { personId, by } of told) {
      const person = people.get(personId);
      const address = by === 'text' ? person?.mobile : person?.email;
      if (person && address) written.push(await this.writeOne({ person, by, message, boxName, timeZone }));
    }
    return written;
  }

  sendSoon(): void {
    unawaited('sending what waits in the Outbox', this.sendDue());
  }

  /** Sends a message to one person by e-mail, with the audio. @throws Problem 409 when they have no address. */
  async forward(message: MessageEntity, boxName: string, personId: PersonId): Promise<void> {
    const person = await this.people.get(personId);
    if (!person.email) throw conflict(`${person.name} has no e-mail address. Type one in the Directory.`);
    for (const item of await this.write(message, boxName, [{ personId, by: 'emailWithAudio' }])) {
      await this.items.insert(item);
    }
    this.sendSoon();
  }

  /** Tries again at once what failed or waits. */
  async tryAgain(id: OutboxItemId): Promise<OutboxItemEntity> {
    const item = await this.items.findOneBy({ id });
    if (!item) throw notFound('That e-mail');
    if (item.kind === 'text') throw conflict('Texts stay in the Outbox: there is nobody to hand them to.');
    if (!(await this.settings.get()).mailHost) throw conflict('No mail server is set up. Set it up in Settings first.');
    await this.items.update({ id }, { state: 'waiting', nextTryAt: this.clock.now(), attempts: 0 });
    await this.sendDue();
    return this.items.findOneByOrFail({ id });
  }

  /** Sends what is due, one after the other; what fails waits for its next attempt. */
  sendDue(): Promise<void> {
    this.sending = this.sending.then(async () => {
      const due = await this.items.findBy({ state: 'waiting', nextTryAt: LessThanOrEqual(this.clock.now()) });
      for (const item of due) await this.send(item);
    });
    this.sending = this.sending.catch((error: unknown) => log.error({ err: error }, 'The Outbox could not be sent'));
    return this.sending;
  }

  /** Writes an e-mail to each of these people who has an address. It is sent once its row is kept: `sendSoon`. */
  async writeLetter(letter: Letter, to: readonly PersonId[]): Promise<OutboxItemEntity[]> {
    const people = (await this.people.list()).filter(({ id, email }) => to.includes(id) && email !== '');
    const written: OutboxItemEntity[] = [];
    for (const person of people) written.push(await this.writeMailTo(person, letter, { messageId: null }));
    return written;
  }

  private async writeOne(note: Note): Promise<OutboxItemEntity> {
    const { person, by, message } = note;
    const words = wordsOf(note);
    if (by !== 'text') {
      const hasAudio = by === 'emailWithAudio';
      const audio = hasAudio ? { name: 'message.wav', content: await this.audio.read(message.audioId) } : undefined;
      return this.writeMailTo(person, { ...words, ...(audio && { audio }) }, { messageId: message.id });
    }
    return {
      ...{ id: newId(outId), kind: 'text', to: person.mobile, toName: person.name },
      ...{ subject: '', text: words.subject, messageId: message.id, hasAudio: false },
      ...this.begun('kept'),
    };
  }

  private async writeMailTo(
    { name, email }: Pick<Note['person'], 'name' | 'email'>,
    letter: Letter,
    { messageId }: Pick<OutboxItemEntity, 'messageId'>,
  ): Promise<OutboxItemEntity> {
    const { mailHost, mailFrom } = await this.settings.get();
    const id = newId(outId);
    const date = new Date(this.clock.now());
    await writeWhole(
      this.pathOf(id),
      await writeMail({ from: mailFrom, to: { name, address: email }, date, ...letter }),
    );
    return {
      ...{ id, kind: 'email', to: email, toName: name, subject: letter.subject, text: letter.text },
      ...{ messageId, hasAudio: letter.audio !== undefined },
      ...this.begun(mailHost === '' ? 'kept' : 'waiting'),
    };
  }

  private begun(
    state: 'kept' | 'waiting',
  ): Pick<OutboxItemEntity, 'madeAt' | 'state' | 'attempts' | 'problem' | 'nextTryAt' | 'sentAt'> {
    const madeAt = this.clock.now();
    const nextTryAt = state === 'waiting' ? madeAt : null;
    return { madeAt, state, attempts: 0, problem: '', nextTryAt, sentAt: null };
  }

  private async send(item: OutboxItemEntity): Promise<void> {
    const { id, attempts } = item;
    const { mailHost, mailPort, mailSecure, mailUser, mailFrom } = await this.settings.get();
    const password = await this.settings.mailPassword();
    const server = { host: mailHost, port: mailPort, secure: mailSecure, user: mailUser, password };
    try {
      await sendMail(server, { from: mailFrom, to: item.to }, await this.fileOf(id));
      await this.items.update(
        { id },
        { state: 'sent', sentAt: this.clock.now(), problem: '', nextTryAt: null, attempts: attempts + 1 },
      );
    } catch (error) {
      const problem = error instanceof Error ? error.message : String(error);
      const minutes = retryMinutes[attempts];
      const nextTryAt = minutes === undefined ? null : this.clock.now() + minutes * 60_000;
      const state = nextTryAt === null ? 'failed' : 'waiting';
      await this.items.update({ id }, { state, problem: problem.slice(0, 500), nextTryAt, attempts: attempts + 1 });
    }
  }

  /** Forgets what was made before a moment. */
  async forgetBefore(ms: number): Promise<void> {
    for (const { id } of await this.items.findBy({ madeAt: LessThanOrEqual(ms) })) {
      await rm(this.pathOf(id), { force: true });
      await this.items.delete({ id });
    }
  }

  /** Removes files that no row names, such as of a message whose row could not be kept. */
  async removeUnnamed(before: number): Promise<void> {
    const named = new Set((await this.items.find({ select: { id: true } })).map(({ id }) => this.pathOf(id)));
    for (const name of await readdir(this.folder).catch(() => [])) {
      const path = join(this.folder, name);
      const found = await stat(path).catch(() => null);
      if (found && found.mtimeMs < before && !named.has(path)) await rm(path, { force: true });
    }
  }

  /** @throws Problem 404 with its path where the file is gone. */
  private fileOf(id: OutboxItemId): Promise<Buffer> {
    return readFile(this.pathOf(id)).catch((error: unknown) => {
      throw (error as NodeJS.ErrnoException).code === 'ENOENT' ? notOnDisk('The e-mail', this.pathOf(id)) : error;
    });
  }

  private pathOf(id: OutboxItemId): string {
    return join(this.folder, `${id.replace(':', '-')}.eml`);
  }
}

function wordsOf({ message, boxName, timeZone }: Note): { subject: string; text: string } {
  const { callerNumber, leftAt, lengthMs, words } = message;
  const caller = callerNumber.startsWith('+') ? showPhoneNumber(callerNumber) : 'a caller who hides their number';
  const when = new Intl.DateTimeFormat('en', { timeZone, dateStyle: 'full', timeStyle: 'short' }).format(leftAt);
  const seconds = Math.round(lengthMs / 1000);
  return {
    subject: `New message in ${boxName} from ${caller}`,
    text: `${caller} left a message of ${seconds} s in the box ${boxName} on ${when}.\n${words && `\n“${words}”\n`}\nHear it in Messages, or dial the box on your desk phone.\n`,
  };
}
