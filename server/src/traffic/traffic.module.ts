import { Module } from '@nestjs/common';
import { CallLogModule } from '../callLog/callLog.module';
import { GroupsModule } from '../groups/groups.module';
import { LinesModule } from '../lines/lines.module';
import { OutboxModule } from '../outbox/outbox.module';
import { SettingsModule } from '../settings/settings.module';
import { BudgetWatch } from './budgetWatch.service';
import { TrafficController } from './traffic.controller';
import { TrafficMails } from './trafficMails';
import { TrafficService } from './traffic.service';

@Module({
  imports: [CallLogModule, GroupsModule, LinesModule, OutboxModule, SettingsModule],
  controllers: [TrafficController],
  providers: [TrafficService, TrafficMails, BudgetWatch],
  exports: [TrafficService],
})
export class TrafficModule {}
