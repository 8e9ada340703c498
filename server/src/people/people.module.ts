import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { HoursModule } from '../hours/hours.module';
import { LinesModule } from '../lines/lines.module';
import { PersonEntity } from './person.entity';
import { PeopleController } from './people.controller';
import { OwnHoursService } from './ownHours.service';
import { PeopleService } from './people.service';

@Module({
  imports: [TypeOrmModule.forFeature([PersonEntity]), HoursModule, LinesModule],
  controllers: [PeopleController],
  providers: [PeopleService, OwnHoursService],
  exports: [PeopleService],
})
export class PeopleModule {}
