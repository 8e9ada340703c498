import { Module } from '@nestjs/common';
import { CallLogModule } from '../callLog/callLog.module';
import { GroupsModule } from '../groups/groups.module';
import { LinesModule } from '../lines/lines.module';
import { OutboxModule } from '../outbox/outbox.module';
import { PeopleModule } from '../people/people.module';
import { SettingsModule } from '../settings/settings.module';
import { BudgetWatch } from './budgetWatch.service';
import { UsesModule } from '../uses/uses.module';
import { ReportsService } from './reports.service';
import { TrafficController } from './traffic.controller';
import { TrafficMails } from './trafficMails';
import { TrafficService } from './traffic.service';

@Module({
  imports: [CallLogModule, GroupsModule, LinesModule, OutboxModule, PeopleModule, SettingsModule, UsesModule],
  controllers: [TrafficController],
  providers: [TrafficService, TrafficMails, BudgetWatch, ReportsService],
  exports: [TrafficService],
})
export class TrafficModule {}
