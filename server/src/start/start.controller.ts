import { Body, Controller, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { LineEntity } from '../lines/line.entity';
import { StartDto } from './start.dto';
import { StartService } from './start.service';

@ApiTags('Start')
@Controller('api/start')
export class StartController {
  constructor(private readonly starts: StartService) {}

  /** Makes the first line from a few facts; refused once there is one. */
  @Post()
  start(@Body() facts: StartDto): Promise<LineEntity> {
    return this.starts.start(facts);
  }
}
