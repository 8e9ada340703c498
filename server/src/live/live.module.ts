import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BoxesModule } from '../boxes/boxes.module';
import { CallLogModule } from '../callLog/callLog.module';
import { GroupsModule } from '../groups/groups.module';
import { LinesModule } from '../lines/lines.module';
import { MessagesModule } from '../messages/messages.module';
import { SpeechModule } from '../speech/speech.module';
import { TakesModule } from '../takes/takes.module';
import { TrialsModule } from '../trials/trials.module';
import { LeftTakes } from './leftTakes.service';
import { theLine } from './line';
import { HeardService } from './heard.service';
import { LiveController } from './live.controller';
import { StandInGateway } from '../standIn/gateway';
import { StandInLine } from '../standIn/standInLine';
import { LiveLine } from './liveLine.service';
import { LiveScripts } from './liveScripts.service';
import { PhoneTakesController } from './phoneTakes.controller';
import { PhoneTakesService } from './phoneTakes.service';
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
    TakesModule,
    TrialsModule,
  ],
  controllers: [LiveController, PhoneTakesController],
  exports: [LiveLine, HeardService],
  providers: [
    LiveLine,
    LeftTakes,
    StandInLine,
    { provide: theLine, useExisting: StandInLine },
    StandInGateway,
    LiveScripts,
    HeardService,
    PhoneTakesService,
    PresencesService,
  ],
})
export class LiveModule {}
