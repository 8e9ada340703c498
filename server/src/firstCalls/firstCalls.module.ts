import { Body, Controller, Get, Injectable, Module, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { InjectRepository, TypeOrmModule } from '@nestjs/typeorm';
import { firstCallStates, type FirstCall, type FirstCallState } from '@locutor/core/firstCalls';
import type { LineId } from '@locutor/core/line';
import { MoreThanOrEqual, Repository } from 'typeorm';
import { Clock } from '../clock/clock';
import { LinesModule } from '../lines/lines.module';
import { LinesService } from '../lines/lines.service';
import { ChoiceField, OrNull, TextField } from '../problems/fields';
import { notFound } from '../problems/problem';
import { byRule } from '../proof/proof.dto';
import { Reckoning } from '../reckoning/reckoning.module';
import { ScriptsService } from '../trials/scripts.service';
import { TrialsModule } from '../trials/trials.module';
import { UsesService } from '../uses/uses.service';
import { VersionEntity } from '../versions/version.entity';
import type { VersionId } from '../versions/versionId';
import { VersionsModule } from '../versions/versions.module';
import { VersionsService } from '../versions/versions.service';
import { FirstCallEntity } from './firstCall.entity';

class TickDto {
  /** The line of the checklist. */
  @TextField({ name: 'The line of the checklist', most: 1000 })
  itemId: string;

  /** Null takes it back. */
  @OrNull()
  @ChoiceField({ of: firstCallStates, says: 'It went right or wrong.' })
  state: FirstCallState | null;

  @TextField({ name: 'The note', lines: true, least: 0, most: 300 })
  note: string;

  @TextField(byRule)
  by: string;
}

/** A line of the checklist, and how it went. */
type TickedFirstCall = FirstCall & { readonly tick: Omit<FirstCallEntity, 'versionId' | 'itemId'> | null };

@Injectable()
export class FirstCallsService {
  constructor(
    @InjectRepository(FirstCallEntity) private readonly rows: Repository<FirstCallEntity>,
    @InjectRepository(VersionEntity) private readonly made: Repository<VersionEntity>,
    private readonly versions: VersionsService,
    private readonly lines: LinesService,
    private readonly scripts: ScriptsService,
    private readonly uses: UsesService,
    private readonly reckoning: Reckoning,
    private readonly clock: Clock,
  ) {}

  /** The checklist that was made from a version when it last went on air, or when the line got another number since. */
  async of(lineId: LineId, versionId: VersionId): Promise<TickedFirstCall[]> {
    const { firstCalls, firstCallsAt } = await this.current(lineId, versionId);
    const ticks = await this.rows.findBy({ versionId, at: MoreThanOrEqual(firstCallsAt) });
    return firstCalls.map((item) => {
      const found = ticks.find(({ itemId }) => itemId === item.id);
      const tick = found ? { state: found.state, note: found.note, by: found.by, at: found.at } : null;
      return { ...item, tick };
    });
  }

  async tick(lineId: LineId, versionId: VersionId, { itemId, state, note, by }: TickDto): Promise<TickedFirstCall[]> {
    const { firstCalls } = await this.current(lineId, versionId);
    if (!firstCalls.some(({ id }) => id === itemId)) throw notFound('That line of the checklist');
    if (state) await this.rows.save({ versionId, itemId, state, note, by, at: this.clock.now() });
    else await this.rows.delete({ versionId, itemId });
    return this.of(lineId, versionId);
  }

  /** It is made anew when callers of what is on air ring another number than it tells. */
  private async current(lineId: LineId, versionId: VersionId): Promise<VersionEntity> {
    const row = await this.versions.row(lineId, versionId);
    const line = await this.lines.get(lineId);
    if (line.onAirVersionId !== versionId || line.number === row.firstCallsNumber) return row;
    const at = this.clock.now();
    const [script, names] = [await this.scripts.of(lineId, 'onAir'), await this.uses.names()];
    const firstCalls = [...(await this.reckoning.of('firstCalls', { script, atMs: at, names }))];
    const anew = { firstCalls, firstCallsAt: at, firstCallsNumber: line.number };
    await this.made.update({ id: versionId }, anew as never);
    return { ...row, ...anew };
  }
}

@ApiTags('First calls')
@Controller('api/lines/:lineId/versions/:versionId/first-calls')
class FirstCallsController {
  constructor(private readonly firstCalls: FirstCallsService) {}

  @Get()
  of(@Param('lineId') lineId: LineId, @Param('versionId') versionId: VersionId): Promise<TickedFirstCall[]> {
    return this.firstCalls.of(lineId, versionId);
  }

  /** Ticks a line off, marks it as wrong with a note, or takes either back. */
  @Put('ticks')
  tick(
    @Param('lineId') lineId: LineId,
    @Param('versionId') versionId: VersionId,
    @Body() body: TickDto,
  ): Promise<TickedFirstCall[]> {
    return this.firstCalls.tick(lineId, versionId, body);
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([FirstCallEntity, VersionEntity]), VersionsModule, LinesModule, TrialsModule],
  controllers: [FirstCallsController],
  providers: [FirstCallsService],
})
export class FirstCallsModule {}
