import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { Clock, type Stop } from '../clock/clock';
import { OutboxService } from '../outbox/outbox.service';
import { SettingsService } from '../settings/settings.service';
import { CallsService } from './calls.service';

const dayMs = 86_400_000;
const lookEveryMs = 6 * 3_600_000;

/** Forgets calls, what was recorded of them and what was sent, once they are older than the settings say. */
@Injectable()
export class RetentionService implements OnApplicationBootstrap, OnModuleDestroy {
  private stopLooking: Stop | undefined;

  constructor(
    private readonly calls: CallsService,
    private readonly outbox: OutboxService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    this.stopLooking = this.clock.every(lookEveryMs, () => this.sweep());
    await this.sweep();
  }

  onModuleDestroy(): void {
    this.stopLooking?.();
  }

  async sweep(): Promise<void> {
    const { keepCallsDays } = await this.settings.get();
    const before = this.clock.now() - keepCallsDays * dayMs;
    await this.calls.forgetBefore(before);
    await this.outbox.forgetBefore(before);
  }
}
