import { Module } from '@nestjs/common';
import { CallLogModule } from '../callLog/callLog.module';
import { LiveModule } from '../live/live.module';
import { OutboxModule } from '../outbox/outbox.module';
import { SettingsModule } from '../settings/settings.module';
import { SweepService } from './sweep.service';

@Module({ imports: [CallLogModule, LiveModule, OutboxModule, SettingsModule], providers: [SweepService] })
export class SweepModule {}
