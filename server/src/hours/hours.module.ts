import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { HolidaysController } from './holidays.controller';
import { HolidaysService } from './holidays.service';
import { HoursController } from './hours.controller';
import { HoursEntity } from './hours.entity';
import { HoursService } from './hours.service';

@Module({
  imports: [TypeOrmModule.forFeature([HoursEntity])],
  controllers: [HoursController, HolidaysController],
  providers: [HolidaysService, HoursService],
  exports: [HoursService],
})
export class HoursModule {}
