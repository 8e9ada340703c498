import { Module } from '@nestjs/common';
import { BoxesModule } from '../boxes/boxes.module';
import { CallerListsModule } from '../callerLists/callerLists.module';
import { ContactsModule } from '../contacts/contacts.module';
import { DraftsModule } from '../drafts/drafts.module';
import { GreetingsModule } from '../greetings/greetings.module';
import { RecordingsModule } from '../recordings/recordings.module';
import { GroupsModule } from '../groups/groups.module';
import { HoursModule } from '../hours/hours.module';
import { LinesModule } from '../lines/lines.module';
import { PeopleModule } from '../people/people.module';
import { QueuesModule } from '../queues/queues.module';
import { SettingsModule } from '../settings/settings.module';
import { SwitchesModule } from '../switches/switches.module';
import { TakesModule } from '../takes/takes.module';
import { VersionsModule } from '../versions/versions.module';
import { ScriptsService } from './scripts.service';
import { TrialsController } from './trials.controller';

@Module({
  imports: [
    LinesModule,
    DraftsModule,
    VersionsModule,
    TakesModule,
    SettingsModule,
    HoursModule,
    SwitchesModule,
    PeopleModule,
    GroupsModule,
    QueuesModule,
    BoxesModule,
    ContactsModule,
    CallerListsModule,
    GreetingsModule,
    RecordingsModule,
  ],
  controllers: [TrialsController],
  providers: [ScriptsService],
  exports: [ScriptsService],
})
export class TrialsModule {}
