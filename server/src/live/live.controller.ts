import { Body, Controller, Get, HttpCode, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { isReading } from '@locutor/core/hours';
import type { Board } from '@locutor/core/exchange';
import { CheckedField, OrNull } from '../problems/fields';
import { Changes } from '../changes/changes.service';
import { LiveLine } from './liveLine.service';

export class ClockDto {
  /** As the clock on the wall of the first line reads; null for now. */
  @OrNull()
  @CheckedField({ check: isReading, says: () => 'A moment is written as 2026-11-23T10:00, on a day that there is.' })
  reading: string | null;
}

@ApiTags('Calls')
@Controller('api/live')
export class LiveController {
  constructor(
    private readonly line: LiveLine,
    private readonly changes: Changes,
  ) {}

  /** Everything on the line at this moment. */
  @Get('board')
  board(): Board {
    return this.line.board();
  }

  @Get('clock')
  clock(): { nowMs: number; isPretended: boolean } {
    return { nowMs: this.line.now(), isPretended: this.line.isPretended };
  }

  /** Lets the line believe that it is another moment, to be called at night as by day; only while nobody is on it. */
  @Put('clock')
  @HttpCode(200)
  setClock(@Body() { reading }: ClockDto): { nowMs: number; isPretended: boolean } {
    this.line.setClock(reading);
    this.changes.tell({ path: '/api/live/clock', revision: null });
    return this.clock();
  }
}
