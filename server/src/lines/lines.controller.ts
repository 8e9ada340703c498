import { Body, Controller, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { LineId } from '@locutor/core/line';
import { AddLineDto, ChangeLineDto, ExchangeNumbersDto } from './line.dto';
import type { LineEntity } from './line.entity';
import { LinesService } from './lines.service';

@ApiTags('Lines')
@Controller('api/lines')
export class LinesController {
  constructor(private readonly lines: LinesService) {}

  @Get()
  list(): Promise<LineEntity[]> {
    return this.lines.list();
  }

  @Get(':lineId')
  get(@Param('lineId') id: LineId): Promise<LineEntity> {
    return this.lines.get(id);
  }

  /** Adds a line, with an attendant of its own. */
  @Post()
  add(@Body() body: AddLineDto): Promise<LineEntity> {
    return this.lines.add(body);
  }

  @Patch(':lineId')
  change(@Param('lineId') id: LineId, @Body() body: ChangeLineDto): Promise<LineEntity> {
    return this.lines.change(id, body);
  }

  /** Lets two lines have each other's number. */
  @Post(':lineId/exchange-numbers')
  @HttpCode(200)
  exchangeNumbers(@Param('lineId') id: LineId, @Body() body: ExchangeNumbersDto): Promise<LineEntity[]> {
    return this.lines.exchangeNumbers(id, body.with);
  }
}
