import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BoxesModule } from '../boxes/boxes.module';
import { CallLogModule } from '../callLog/callLog.module';
import { GroupsModule } from '../groups/groups.module';
import { LinesModule } from '../lines/lines.module';
import { MessagesModule } from '../messages/messages.module';
import { SpeechModule } from '../speech/speech.module';
import { TrialsModule } from '../trials/trials.module';
import { HeardService } from './heard.service';
import { LiveController } from './live.controller';
import { LiveGateway } from './liveGateway';
import { LiveLine } from './liveLine.service';
import { LiveScripts } from './liveScripts.service';
import { PresenceEntity } from './presence.entity';
import { PresencesService } from './presences.service';

@Module({
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
  providers: [LiveLine, LiveGateway, LiveScripts, HeardService, PresencesService],
})
export class LiveModule {}
