import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { greetingId, type GreetingId } from '@locutor/core/line';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddGreetingDto, ChangeGreetingDto } from './greeting.dto';
import type { GreetingEntity } from './greeting.entity';
import { GreetingsService } from './greetings.service';

@ApiTags('Greetings')
@Controller('api/greetings')
export class GreetingsController extends RowsController<GreetingId, GreetingEntity> {
  constructor(greetings: GreetingsService) {
    super(greetings);
  }

  @Post()
  add(@Body() body: AddGreetingDto): Promise<GreetingEntity> {
    return this.rows.add({ id: newId(greetingId), take: null, ...body });
  }

  @Patch(':id')
  change(@Param('id') id: GreetingId, @Body() { revision, ...changes }: ChangeGreetingDto): Promise<GreetingEntity> {
    return this.rows.change(id, revision, changes);
  }
}
