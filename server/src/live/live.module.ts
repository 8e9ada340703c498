import { Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BoxesModule } from '../boxes/boxes.module';
import { CallLogModule } from '../callLog/callLog.module';
import type { Config } from '../config';
import { GroupsModule } from '../groups/groups.module';
import { LinesModule } from '../lines/lines.module';
import { MessagesModule } from '../messages/messages.module';
import { SpeechModule } from '../speech/speech.module';
import { TrialsModule } from '../trials/trials.module';
import { dataFolder } from './dataFolder';
import { HeardService } from './heard.service';
import { LiveController } from './live.controller';
import { LiveGateway } from './liveGateway';
import { LiveLine } from './liveLine.service';
import { LiveScripts } from './liveScripts.service';
import { PresenceEntity } from './presence.entity';
import { PresencesService } from './presences.service';

@Module({})
export class LiveModule {
  static for({ dataDir }: Config): DynamicModule {
    return {
      module: LiveModule,
      imports: [
        TypeOrmModule.forFeature([PresenceEntity]),
        BoxesModule,
        CallLogModule,
        GroupsModule,
        LinesModule,
        MessagesModule,
        SpeechModule,
        TrialsModule,
      ],
      controllers: [LiveController],
      providers: [
        { provide: dataFolder, useValue: dataDir },
        LiveLine,
        LiveGateway,
        LiveScripts,
        HeardService,
        PresencesService,
      ],
    };
  }
}
