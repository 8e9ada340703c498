import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { OutboxService } from '../outbox/outbox.service';
import { SettingsService } from '../settings/settings.service';
import { CallsService } from './calls.service';

const dayMs = 86_400_000;
const lookEveryMs = 6 * 3_600_000;

/** Forgets calls, what was recorded of them and what was sent, once they are older than the settings say. */
@Injectable()
export class RetentionService implements OnApplicationBootstrap, OnModuleDestroy {
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(
    private readonly calls: CallsService,
    private readonly outbox: OutboxService,
    private readonly settings: SettingsService,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    this.timer = setInterval(() => void this.sweep(), lookEveryMs);
    this.timer.unref();
    await this.sweep();
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
  }

  async sweep(): Promise<void> {
    const { keepCallsDays } = await this.settings.get();
    const before = Date.now() - keepCallsDays * dayMs;
    await this.calls.forgetBefore(before);
    await this.outbox.forgetBefore(before);
  }
}
