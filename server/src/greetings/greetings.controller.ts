import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { greetingId, type GreetingId } from '@locutor/core/line';
import { newId } from '../rows/newId';
import { AddGreetingDto, ChangeGreetingDto } from './greeting.dto';
import type { GreetingEntity } from './greeting.entity';
import { GreetingsService } from './greetings.service';

@ApiTags('Greetings')
@Controller('api/greetings')
export class GreetingsController {
  constructor(private readonly greetings: GreetingsService) {}

  @Get()
  list(): Promise<GreetingEntity[]> {
    return this.greetings.list();
  }

  @Post()
  add(@Body() body: AddGreetingDto): Promise<GreetingEntity> {
    return this.greetings.add({ id: newId(greetingId), ...body });
  }

  @Patch(':id')
  change(@Param('id') id: GreetingId, @Body() { revision, ...changes }: ChangeGreetingDto): Promise<GreetingEntity> {
    return this.greetings.change(id, revision, changes);
  }

  /** Refused with its uses while the draft or what is on air still needs it. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: GreetingId): Promise<void> {
    return this.greetings.remove(id);
  }

  /** Takes a deletion back. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: GreetingId): Promise<GreetingEntity> {
    return this.greetings.restore(id);
  }
}
