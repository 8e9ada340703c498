import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { HoursModule } from '../hours/hours.module';
import { LinesModule } from '../lines/lines.module';
import { PeopleModule } from '../people/people.module';
import { GroupEntity } from './group.entity';
import { GroupsController } from './groups.controller';
import { GroupsService } from './groups.service';

@Module({
  imports: [TypeOrmModule.forFeature([GroupEntity]), HoursModule, LinesModule, PeopleModule],
  controllers: [GroupsController],
  providers: [GroupsService],
  exports: [GroupsService],
})
export class GroupsModule {}
