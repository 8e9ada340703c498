import { Module, type DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_PIPE } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { AudioModule } from './audio/audio.module';
import { BoxesModule } from './boxes/boxes.module';
import { CallerListsModule } from './callerLists/callerLists.module';
import { ChangesModule } from './changes/changes.module';
import { ClockModule } from './clock/clock.module';
import type { Config } from './config';
import { ContactsModule } from './contacts/contacts.module';
import { openDatabase } from './database/openDatabase';
import { DictionaryModule } from './dictionary/dictionary.module';
import { DraftsModule } from './drafts/drafts.module';
import { ExtensionsModule } from './extensions/extensions.module';
import { ForesightModule } from './foresight/foresight.module';
import { RecordingsModule } from './recordings/recordings.module';
import { GreetingsModule } from './greetings/greetings.module';
import { GroupsModule } from './groups/groups.module';
import { HealthController } from './health/health.controller';
import { HoursModule } from './hours/hours.module';
import { LinesModule } from './lines/lines.module';
import { ListeningModule } from './listening/listening.module';
import { LiveModule } from './live/live.module';
import { MessagesModule } from './messages/messages.module';
import { OutboxModule } from './outbox/outbox.module';
import { PeopleModule } from './people/people.module';
import { ProblemFilter } from './problems/problemFilter';
import { validation } from './problems/validation';
import { QueuesModule } from './queues/queues.module';
import { ReckoningModule } from './reckoning/reckoning.module';
import { SettingsModule } from './settings/settings.module';
import { SpeechModule } from './speech/speech.module';
import { FolderHold } from './storage/folderHold';
import { StorageModule } from './storage/storage.module';
import { StartModule } from './start/start.module';
import { SweepModule } from './sweep/sweep.module';
import { SwitchesModule } from './switches/switches.module';
import { TakesModule } from './takes/takes.module';
import { TrafficModule } from './traffic/traffic.module';
import { TrialsModule } from './trials/trials.module';
import { AiringModule } from './airing/airing.module';
import { ProofModule } from './proof/proof.module';
import { RehearsalsModule } from './rehearsals/rehearsals.module';
import { FirstCallsModule } from './firstCalls/firstCalls.module';
import { UsesModule } from './uses/uses.module';
import { VoicesModule } from './voices/voices.module';
import { VersionsModule } from './versions/versions.module';

@Module({})
export class AppModule {
  static for(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        StorageModule.for(config),
        databaseIn(config),
        AudioModule.for(config),
        ClockModule,
        ForesightModule,
        ChangesModule,
        UsesModule,
        ExtensionsModule,
        StartModule,
        LinesModule,
        DraftsModule,
        VersionsModule,
        FirstCallsModule,
        RehearsalsModule,
        ProofModule,
        AiringModule,
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
        MessagesModule,
        TakesModule,
        ListeningModule,
        DictionaryModule,
        VoicesModule.for(config),
        SpeechModule,
        TrafficModule,
        TrialsModule,
        LiveModule,
        OutboxModule,
        ReckoningModule,
        SettingsModule,
        SweepModule,
      ],
      controllers: [HealthController],
      providers: [
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_PIPE, useFactory: validation },
      ],
    };
  }
}

/** The database, opened once the folder is this server's; where it cannot be, the folder is another's to take. */
function databaseIn({ dataDir }: Config): DynamicModule {
  let opened: DataSource;
  return TypeOrmModule.forRootAsync({
    inject: [FolderHold],
    useFactory: async (hold: FolderHold) => {
      opened = await openDatabase(dataDir).catch((error: unknown) => {
        hold.release();
        throw error;
      });
      return opened.options;
    },
    dataSourceFactory: () => Promise.resolve(opened),
  });
}
