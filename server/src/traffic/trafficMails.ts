import { Injectable } from '@nestjs/common';
import type { PersonId } from '@locutor/core/directory';
import { DataSource } from 'typeorm';
import { Clock } from '../clock/clock';
import type { Letter } from '../outbox/mail';
import { OutboxService } from '../outbox/outbox.service';
import { OutboxItemEntity } from '../outbox/outboxItem.entity';

/** E-mails about traffic, each written once whatever happens. */
@Injectable()
export class TrafficMails {
  constructor(
    private readonly database: DataSource,
    private readonly outbox: OutboxService,
    private readonly clock: Clock,
  ) {}

  /** Writes a letter to people unless it was written before. @param what it is, the same each time it is asked for */
  async once(what: string, letter: Letter, to: readonly PersonId[]): Promise<void> {
    if (await this.wasWritten(what)) return;
    const items = await this.outbox.writeLetter(letter, to);
    if (items.length === 0) return;
    await this.database.transaction(async (rows) => {
      await rows.query(`INSERT INTO "traffic_mail" ("what", "madeAt") VALUES (?, ?)`, [what, this.clock.now()]);
      for (const item of items) await rows.insert(OutboxItemEntity, item);
    });
    this.outbox.sendSoon();
  }

  async wasWritten(what: string): Promise<boolean> {
    const rows: unknown[] = await this.database.query(`SELECT 1 FROM "traffic_mail" WHERE "what" = ?`, [what]);
    return rows.length > 0;
  }
}
