import { Module } from '@nestjs/common';
import { CallLogModule } from '../callLog/callLog.module';
import { TrafficController } from './traffic.controller';
import { TrafficService } from './traffic.service';

@Module({
  imports: [CallLogModule],
  controllers: [TrafficController],
  providers: [TrafficService],
})
export class TrafficModule {}
