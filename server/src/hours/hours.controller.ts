import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { HoursId } from '@locutor/core/hours';
import { AddHoursDto, ChangeHoursDto } from './hours.dto';
import type { HoursEntity } from './hours.entity';
import { HoursService } from './hours.service';

@ApiTags('Hours')
@Controller('api/hours')
export class HoursController {
  constructor(private readonly hours: HoursService) {}

  /** Every named set of hours: of lines and of people. */
  @Get()
  list(): Promise<HoursEntity[]> {
    return this.hours.list();
  }

  @Post()
  add(@Body() body: AddHoursDto): Promise<HoursEntity> {
    return this.hours.add(body);
  }

  /** Refused while a line or somebody keeps these hours. */
  @Delete(':hoursId')
  @HttpCode(204)
  remove(@Param('hoursId') id: HoursId): Promise<void> {
    return this.hours.remove(id);
  }

  @Get(':hoursId')
  get(@Param('hoursId') id: HoursId): Promise<HoursEntity> {
    return this.hours.get(id);
  }

  /** Replaces the periods and the regular week, and the name if one is given. Callers notice at once: hours are shared by draft and air. */
  @Put(':hoursId')
  change(@Param('hoursId') id: HoursId, @Body() body: ChangeHoursDto): Promise<HoursEntity> {
    return this.hours.change(id, body);
  }
}
