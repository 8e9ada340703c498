import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { HoursId } from '@locutor/core/hours';
import { ChangeHoursDto } from './hours.dto';
import type { HoursEntity } from './hours.entity';
import { HoursService } from './hours.service';

@ApiTags('Hours')
@Controller('api/hours')
export class HoursController {
  constructor(private readonly hours: HoursService) {}

  @Get(':hoursId')
  get(@Param('hoursId') id: HoursId): Promise<HoursEntity> {
    return this.hours.get(id);
  }

  /** Replaces the periods and the regular week. Callers notice at once: hours are shared by draft and air. */
  @Put(':hoursId')
  change(@Param('hoursId') id: HoursId, @Body() body: ChangeHoursDto): Promise<HoursEntity> {
    return this.hours.change(id, body);
  }
}
