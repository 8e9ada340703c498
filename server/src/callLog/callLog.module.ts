import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CallEntity } from './call.entity';
import { CallLog } from './callLog.service';
import { CallsController } from './calls.controller';
import { OutboxModule } from '../outbox/outbox.module';
import { SettingsModule } from '../settings/settings.module';
import { CallsService } from './calls.service';
import { RetentionService } from './retention.service';

@Module({
  imports: [TypeOrmModule.forFeature([CallEntity]), OutboxModule, SettingsModule],
  controllers: [CallsController],
  providers: [CallLog, CallsService, RetentionService],
  exports: [CallLog, CallsService],
})
export class CallLogModule {}
