import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { takeId, type TakeId } from '@locutor/core/line';
import { DataSource, In, IsNull, LessThan, Not } from 'typeorm';
import { AudioStore } from '../audio/audioStore';
import { CallEntity } from '../callLog/call.entity';
import { CallsService } from '../callLog/calls.service';
import { Clock, type Stop } from '../clock/clock';
import { DraftEntity } from '../drafts/draft.entity';
import { GreetingEntity } from '../greetings/greeting.entity';
import { HeardService } from '../live/heard.service';
import { MessageEntity } from '../messages/message.entity';
import { OutboxService } from '../outbox/outbox.service';
import { SettingsService } from '../settings/settings.service';
import { SpokenSentenceEntity } from '../speech/spokenSentence.entity';
import { spokenBytes } from '../speech/spokenBytes';
import { TextRecordingEntity } from '../recordings/textRecording.entity';
import { TakeEntity } from '../takes/take.entity';
import { VersionEntity } from '../versions/version.entity';

const dayMs = 86_400_000;
const firstAfterMs = 60_000;
const lookEveryMs = 6 * 3_600_000;
/** A file that no row names may be one whose row is just being written. */
const youngMs = dayMs;
const rowsAtOnce = 200;

/**
 * Removes what nobody needs any more, a few times a day: calls and e-mails older than the settings say, what was deleted long
 * ago, sentences that nobody hears, and the files that no row names then. A sentence can always be spoken again.
 */
@Injectable()
export class SweepService implements OnApplicationBootstrap, OnModuleDestroy {
  private stop: Stop = () => undefined;

  constructor(
    private readonly database: DataSource,
    private readonly audio: AudioStore,
    private readonly calls: CallsService,
    private readonly outbox: OutboxService,
    private readonly heard: HeardService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.audio.removeParts();
    this.stop = this.clock.soonAndEvery(firstAfterMs, lookEveryMs, () => this.sweep());
  }

  onModuleDestroy(): void {
    this.stop();
  }

  async sweep(): Promise<void> {
    const { keepCallsDays, keepDeletedDays, keepSpokenDays, mostSpokenMegabytes } = await this.settings.get();
    const daysAgo = (days: number): number => this.clock.now() - days * dayMs;
    await this.calls.forgetBefore(daysAgo(keepCallsDays));
    await this.outbox.forgetBefore(daysAgo(keepCallsDays));
    await this.forgetDeleted(daysAgo(keepDeletedDays));
    await this.forgetSpoken(daysAgo(keepSpokenDays), mostSpokenMegabytes * 1e6);
    // Before the rows are read: whatever is kept from now on is young.
    const before = Date.now() - youngMs;
    await this.removeUnnamed(await this.named(), before);
    await this.outbox.removeUnnamed(before);
  }

  private async forgetDeleted(before: number): Promise<void> {
    await this.database.getRepository(MessageEntity).delete({ deletedAt: LessThan(before) });
    const takes = this.database.getRepository(TakeEntity);
    const deleted = await takes.find({ where: { deletedAt: LessThan(before) }, select: { id: true } });
    if (deleted.length === 0) return;
    const used = await this.takesUsed();
    const unused = deleted.map(({ id }) => id).filter((id) => !used.has(id));
    for (let from = 0; from < unused.length; from += rowsAtOnce) {
      await takes.delete({ id: In(unused.slice(from, from + rowsAtOnce)) });
    }
  }

  /** The takes that a draft, a version, a greeting of the library or any other text is heard from. */
  private async takesUsed(): Promise<ReadonlySet<TakeId>> {
    const used = new Set<TakeId>();
    // Read as text: also of a draft that cannot be read nothing is to be lost.
    for (const { attendant } of await this.database.getRepository(DraftEntity).find()) {
      for (const [id] of JSON.stringify(attendant).matchAll(/take:[\w-]+/g)) used.add(id as TakeId);
    }
    for (const { take } of await this.database.getRepository(GreetingEntity).find()) if (take) used.add(take.takeId);
    for (const { take } of await this.database.getRepository(TextRecordingEntity).find()) used.add(take.takeId);
    const { holdMusic } = await this.settings.get();
    if (takeId.is(holdMusic)) used.add(holdMusic);
    const versions = this.database.getRepository(VersionEntity);
    for (const { takes } of await versions.find({ select: { takes: true } })) for (const { id } of takes) used.add(id);
    return used;
  }

  private async forgetSpoken(before: number, mostBytes: number): Promise<void> {
    const spoken = this.database.getRepository(SpokenSentenceEntity);
    await spoken.delete({ usedAt: LessThan(before) });
    let bytes = 0;
    for (const row of await spoken.find({ order: { usedAt: 'DESC' } })) {
      bytes += spokenBytes(row.lengthMs);
      if (bytes > mostBytes) await spoken.delete({ voice: row.voice, text: row.text });
    }
    // What calls remember of them is looked up again, which notes that it is still heard.
    this.heard.forget();
  }

  /** Every sound that some row names. */
  private async named(): Promise<ReadonlySet<string>> {
    const named = new Set<string>();
    const add = (...ids: (string | null)[]): void => ids.forEach((id) => id && named.add(id));
    const { database } = this;
    const sounds = { originalId: true, recordingId: true, audioId: true } as const;
    for (const each of await database.getRepository(TakeEntity).find({ select: sounds })) {
      add(each.originalId, each.recordingId, each.audioId);
    }
    for (const { audioId } of await database.getRepository(MessageEntity).find({ select: { audioId: true } }))
      add(audioId);
    for (const { audioId } of await database.getRepository(SpokenSentenceEntity).find()) add(audioId);
    const recorded = { where: { recordingId: Not(IsNull()) }, select: { recordingId: true } } as const;
    for (const { recordingId } of await database.getRepository(CallEntity).find(recorded)) add(recordingId);
    const versions = await database.getRepository(VersionEntity).find({ select: { takes: true } });
    for (const { takes } of versions) add(...takes.map(({ audioId }) => audioId));
    return named;
  }

  private async removeUnnamed(named: ReadonlySet<string>, before: number): Promise<void> {
    for await (const { id, path } of this.audio.files()) {
      if (id === null || !named.has(id)) this.audio.removeOlder(path, before);
    }
  }
}
