import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SettingsModule } from '../settings/settings.module';
import { CallCounting } from './callCounting.service';
import { CallEntity } from './call.entity';
import { CallLog } from './callLog.service';
import { CallsController } from './calls.controller';
import { CallsService } from './calls.service';

@Module({
  imports: [TypeOrmModule.forFeature([CallEntity]), SettingsModule],
  controllers: [CallsController],
  providers: [CallLog, CallsService, CallCounting],
  exports: [CallLog, CallsService, CallCounting],
})
export class CallLogModule {}
