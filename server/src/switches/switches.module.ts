import { Body, Controller, Get, HttpCode, Module, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { LineId } from '@locutor/core/line';
import { LinesModule } from '../lines/lines.module';
import { EndSwitchDto, SetSwitchDto } from './switch.dto';
import { SwitchEntity } from './switch.entity';
import { SwitchesService, type SwitchState } from './switches.service';

@ApiTags('Hours')
@Controller('api/lines/:lineId/switch')
class SwitchesController {
  constructor(private readonly switches: SwitchesService) {}

  @Get()
  get(@Param('lineId') id: LineId): Promise<SwitchState> {
    return this.switches.state(id);
  }

  /** Closes, opens or leads callers elsewhere from now until a moment. */
  @Put()
  set(@Param('lineId') id: LineId, @Body() body: SetSwitchDto): Promise<SwitchState> {
    return this.switches.set(id, body);
  }

  /** Ends it before its time. */
  @Post('end')
  @HttpCode(200)
  end(@Param('lineId') id: LineId, @Body() { by }: EndSwitchDto): Promise<SwitchState> {
    return this.switches.end(id, by);
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([SwitchEntity]), LinesModule],
  controllers: [SwitchesController],
  providers: [SwitchesService],
  exports: [SwitchesService],
})
export class SwitchesModule {}
