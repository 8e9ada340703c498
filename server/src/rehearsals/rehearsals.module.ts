import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { LineId } from '@locutor/core/line';
import type { RehearsalId, Rehearsed } from '@locutor/core/rehearsals';
import { LinesModule } from '../lines/lines.module';
import { ScriptsService } from '../trials/scripts.service';
import { TrialsModule } from '../trials/trials.module';
import { AddRehearsalsDto, ChangeRehearsalDto } from './rehearsal.dto';
import { RehearsalEntity } from './rehearsal.entity';
import { RehearsalsService } from './rehearsals.service';

@ApiTags('Rehearsals')
@Controller('api/lines/:lineId/rehearsals')
class RehearsalsController {
  constructor(
    private readonly rehearsals: RehearsalsService,
    private readonly scripts: ScriptsService,
  ) {}

  @Get()
  list(@Param('lineId') lineId: LineId): Promise<RehearsalEntity[]> {
    return this.rehearsals.list(lineId);
  }

  /** Keeps one or several new ones. */
  @Post()
  add(@Param('lineId') lineId: LineId, @Body() { rehearsals }: AddRehearsalsDto): Promise<RehearsalEntity[]> {
    return this.rehearsals.add(lineId, rehearsals);
  }

  /** Runs them all on the draft and tells how each went. */
  @Post('run')
  @HttpCode(200)
  async run(@Param('lineId') lineId: LineId): Promise<Rehearsed[]> {
    return this.rehearsals.run(lineId, await this.scripts.of(lineId, 'draft'));
  }

  @Put(':id')
  change(
    @Param('lineId') lineId: LineId,
    @Param('id') id: RehearsalId,
    @Body() body: ChangeRehearsalDto,
  ): Promise<RehearsalEntity> {
    return this.rehearsals.change(lineId, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('lineId') lineId: LineId, @Param('id') id: RehearsalId): Promise<void> {
    return this.rehearsals.remove(lineId, id);
  }

  /** Takes a deletion back. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('lineId') lineId: LineId, @Param('id') id: RehearsalId): Promise<RehearsalEntity> {
    return this.rehearsals.restore(lineId, id);
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([RehearsalEntity]), LinesModule, TrialsModule],
  controllers: [RehearsalsController],
  providers: [RehearsalsService],
  exports: [RehearsalsService],
})
export class RehearsalsModule {}
