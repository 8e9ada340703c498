import { Body, Controller, Get, Injectable, Module, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { InjectRepository, TypeOrmModule } from '@nestjs/typeorm';
import { firstCallStates, type FirstCall, type FirstCallState } from '@locutor/core/firstCalls';
import type { LineId } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { ChoiceField, OrNull, TextField } from '../problems/fields';
import { notFound } from '../problems/problem';
import { byRule } from '../proof/proof.dto';
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
    private readonly versions: VersionsService,
  ) {}

  /** The checklist that was made from a version when it first went on air. */
  async of(lineId: LineId, versionId: VersionId): Promise<TickedFirstCall[]> {
    const { firstCalls } = await this.versions.row(lineId, versionId);
    const ticks = await this.rows.findBy({ versionId });
    return firstCalls.map((item) => {
      const found = ticks.find(({ itemId }) => itemId === item.id);
      const tick = found ? { state: found.state, note: found.note, by: found.by, at: found.at } : null;
      return { ...item, tick };
    });
  }

  async tick(lineId: LineId, versionId: VersionId, { itemId, state, note, by }: TickDto): Promise<TickedFirstCall[]> {
    const { firstCalls } = await this.versions.row(lineId, versionId);
    if (!firstCalls.some(({ id }) => id === itemId)) throw notFound('That line of the checklist');
    if (state) await this.rows.save({ versionId, itemId, state, note, by, at: Date.now() });
    else await this.rows.delete({ versionId, itemId });
    return this.of(lineId, versionId);
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
  imports: [TypeOrmModule.forFeature([FirstCallEntity]), VersionsModule],
  controllers: [FirstCallsController],
  providers: [FirstCallsService],
})
export class FirstCallsModule {}
