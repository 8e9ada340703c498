import { Controller, Get, HttpCode, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { WhenSums } from '@locutor/core/traffic';
import { SpanQuery } from './span.dto';
import { TrafficService } from './traffic.service';

@ApiTags('Traffic')
@Controller('api/traffic')
export class TrafficController {
  constructor(private readonly traffic: TrafficService) {}

  /** When people called: sums by weekday and hour, and by day. */
  @Get('when')
  when(@Query() span: SpanQuery): Promise<WhenSums> {
    return this.traffic.when(span);
  }

  /** Counts all calls anew, as after the time zone of a line was changed. */
  @Post('recount')
  @HttpCode(204)
  async recount(): Promise<void> {
    await this.traffic.count(true);
  }
}
