import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { HoursController } from './hours.controller';
import { HoursEntity } from './hours.entity';
import { HoursService } from './hours.service';

@Module({
  imports: [TypeOrmModule.forFeature([HoursEntity])],
  controllers: [HoursController],
  providers: [HoursService],
  exports: [HoursService],
})
export class HoursModule {}
