import { Body, Controller, Delete, Get, Module, Param, Put, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { LineId } from '@locutor/core/line';
import { BoxesModule } from '../boxes/boxes.module';
import { CallerListsModule } from '../callerLists/callerLists.module';
import { ContactsModule } from '../contacts/contacts.module';
import { DraftsModule } from '../drafts/drafts.module';
import { DraftsService } from '../drafts/drafts.service';
import { GreetingsModule } from '../greetings/greetings.module';
import { GroupsModule } from '../groups/groups.module';
import { HoursModule } from '../hours/hours.module';
import { LinesModule } from '../lines/lines.module';
import { PeopleModule } from '../people/people.module';
import { QueuesModule } from '../queues/queues.module';
import { RecordingsModule } from '../recordings/recordings.module';
import { TakesModule } from '../takes/takes.module';
import { AcceptedEntity } from './accepted.entity';
import { OnAirLook } from './onAirLook.service';
import { AcceptDto } from './proof.dto';
import { ProofService, type ToldFinding } from './proof.service';
import { SettingsModule } from '../settings/settings.module';
import { SwitchesModule } from '../switches/switches.module';
import { TrafficModule } from '../traffic/traffic.module';
import { SubjectsService } from './subjects.service';

@ApiTags('Proof')
@Controller('api/lines/:lineId/proof')
class ProofController {
  constructor(
    private readonly proof: ProofService,
    private readonly drafts: DraftsService,
  ) {}

  /** What the proof finds in the draft, with the directory as it is now: what loses a caller first. */
  @Get()
  async read(@Param('lineId') lineId: LineId): Promise<ToldFinding[]> {
    return this.proof.read(lineId, (await this.drafts.get(lineId)).attendant);
  }

  /** What it finds in what callers hear now, against the directory, hours, switch and clock as they are. */
  @Get('on-air')
  readOnAir(@Param('lineId') lineId: LineId): Promise<ToldFinding[]> {
    return this.proof.readOnAir(lineId);
  }

  /** The cautions that somebody said yes to, and the tips that were silenced. */
  @Get('accepted')
  accepted(@Param('lineId') lineId: LineId): Promise<AcceptedEntity[]> {
    return this.proof.accepted(lineId);
  }

  /** Says yes to a caution, with the reason, or silences a tip. */
  @Put('accepted')
  accept(@Param('lineId') lineId: LineId, @Body() body: AcceptDto): Promise<AcceptedEntity[]> {
    return this.proof.accept(lineId, body);
  }

  /** Takes a yes back. */
  @Delete('accepted')
  withdraw(@Param('lineId') lineId: LineId, @Query('key') key: string): Promise<AcceptedEntity[]> {
    return this.proof.withdraw(lineId, String(key));
  }
}

/** Names of people who have left, whom words may still speak of. */
@ApiTags('Proof')
@Controller('api/leavers')
class LeaversController {
  constructor(private readonly subjects: SubjectsService) {}

  @Get()
  list(): Promise<readonly string[]> {
    return this.subjects.leavers();
  }
}

@Module({
  imports: [
    TypeOrmModule.forFeature([AcceptedEntity]),
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
    RecordingsModule,
    SettingsModule,
    TrafficModule,
    SwitchesModule,
  ],
  controllers: [ProofController, LeaversController],
  providers: [ProofService, SubjectsService, OnAirLook],
  exports: [ProofService],
})
export class ProofModule {}
