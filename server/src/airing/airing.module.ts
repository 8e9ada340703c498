import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put, Req, Res } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { LineId } from '@locutor/core/line';
import type { QuietHours } from '@locutor/core/traffic';
import type { Request, Response } from 'express';
import { CallLogModule } from '../callLog/callLog.module';
import { DraftsModule } from '../drafts/drafts.module';
import { HoursModule } from '../hours/hours.module';
import { LinesModule } from '../lines/lines.module';
import { LiveModule } from '../live/live.module';
import { answerInStages, stagesType } from '../problems/answerInStages';
import { ProofModule } from '../proof/proof.module';
import { RehearsalsModule } from '../rehearsals/rehearsals.module';
import { SpeechModule } from '../speech/speech.module';
import { TrialsModule } from '../trials/trials.module';
import type { VersionId } from '../versions/versionId';
import { VersionsModule } from '../versions/versions.module';
import type { Version } from '../versions/versions.service';
import { PlanBackDto, PlanDto, PutBackDto, PutOnAirDto } from './airing.dto';
import { AiringService, type AiringStage } from './airing.service';
import { AiringCheck, type Standing } from './airingCheck.service';
import { PlannedAiringEntity } from './plannedAiring.entity';
import { PlannedService, type Planned } from './planned.service';

@ApiTags('Versions')
@Controller('api/lines/:lineId')
class AiringController {
  constructor(
    private readonly airing: AiringService,
    private readonly planned: PlannedService,
  ) {}

  /**
   * Puts the draft on air as a new version; refused with its faults, and with cautions and broken rehearsals that
   * nobody said yes to. Asked for `application/x-ndjson` it tells a line at each stage, `{"stage": ...}`.
   */
  @Post('versions')
  @ApiProduces('application/json', stagesType)
  putOnAir(
    @Param('lineId') lineId: LineId,
    @Body() body: PutOnAirDto,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return answerInStages<Version, AiringStage>(request, response, 201, (stages) =>
      this.airing.putOnAir(lineId, body, stages),
    );
  }

  /** Puts an earlier version back on air: refused, and told in stages, as the draft is. */
  @Post('versions/:versionId/put-back')
  @HttpCode(200)
  @ApiProduces('application/json', stagesType)
  putBack(
    @Param('lineId') lineId: LineId,
    @Param('versionId') id: VersionId,
    @Body() body: PutBackDto,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return answerInStages<Version, AiringStage>(request, response, 200, (stages) =>
      this.airing.putBack(lineId, id, body, stages),
    );
  }

  /** What stands between an earlier version and going back on air, with the directory and the switch as they are now. */
  @Get('versions/:versionId/standing')
  lookAt(
    @Param('lineId') lineId: LineId,
    @Param('versionId') id: VersionId,
  ): Promise<Standing & { readonly rehearsals: number }> {
    return this.airing.lookAt(lineId, id);
  }

  /** Plans that an earlier version goes back on air at a time, or changes what is planned. */
  @Put('versions/:versionId/planned')
  async planBack(
    @Param('lineId') lineId: LineId,
    @Param('versionId') id: VersionId,
    @Body() body: PlanBackDto,
  ): Promise<{ planned: Planned | null }> {
    return { planned: await this.planned.planBack(lineId, id, body) };
  }

  /** What is to go on air later; null for nothing. */
  @Get('planned')
  async get(@Param('lineId') lineId: LineId): Promise<{ planned: Planned | null }> {
    return { planned: await this.planned.get(lineId) };
  }

  /** Plans the draft as it is now for a time, or changes what is planned. */
  @Put('planned')
  async plan(@Param('lineId') lineId: LineId, @Body() body: PlanDto): Promise<{ planned: Planned | null }> {
    return { planned: await this.planned.plan(lineId, body) };
  }

  @Delete('planned')
  @HttpCode(204)
  cancel(@Param('lineId') lineId: LineId): Promise<void> {
    return this.planned.cancel(lineId);
  }

  /** The hours ahead in which few people call, by the call log and the hours. */
  @Get('quietest')
  quietest(@Param('lineId') lineId: LineId): Promise<QuietHours> {
    return this.planned.quietest(lineId);
  }
}

@Module({
  imports: [
    TypeOrmModule.forFeature([PlannedAiringEntity]),
    LinesModule,
    DraftsModule,
    VersionsModule,
    HoursModule,
    CallLogModule,
    LiveModule,
    ProofModule,
    RehearsalsModule,
    SpeechModule,
    TrialsModule,
  ],
  controllers: [AiringController],
  providers: [AiringService, AiringCheck, PlannedService],
})
export class AiringModule {}
