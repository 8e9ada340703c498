import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BoxesModule } from '../boxes/boxes.module';
import { CallerListsModule } from '../callerLists/callerLists.module';
import { ContactsModule } from '../contacts/contacts.module';
import { DraftsModule } from '../drafts/drafts.module';
import { GreetingsModule } from '../greetings/greetings.module';
import { GroupsModule } from '../groups/groups.module';
import { HoursModule } from '../hours/hours.module';
import { LinesModule } from '../lines/lines.module';
import { PeopleModule } from '../people/people.module';
import { QueuesModule } from '../queues/queues.module';
import { TakesModule } from '../takes/takes.module';
import { VersionEntity } from './version.entity';
import { VersionsController } from './versions.controller';
import { VersionsService } from './versions.service';

@Module({
  imports: [
    TypeOrmModule.forFeature([VersionEntity]),
    LinesModule,
    DraftsModule,
    HoursModule,
    PeopleModule,
    GroupsModule,
    QueuesModule,
    BoxesModule,
    GreetingsModule,
    ContactsModule,
    CallerListsModule,
    TakesModule,
  ],
  controllers: [VersionsController],
  providers: [VersionsService],
  exports: [VersionsService],
})
export class VersionsModule {}
