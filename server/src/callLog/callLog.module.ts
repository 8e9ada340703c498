import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CallEntity } from './call.entity';
import { CallLog } from './callLog.service';
import { CallsController } from './calls.controller';
import { CallsService } from './calls.service';

@Module({
  imports: [TypeOrmModule.forFeature([CallEntity])],
  controllers: [CallsController],
  providers: [CallLog, CallsService],
  exports: [CallLog, CallsService],
})
export class CallLogModule {}
