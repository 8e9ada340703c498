import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { queueId, type QueueId } from '@locutor/core/directory';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddQueueDto, ChangeQueueDto } from './queue.dto';
import type { QueueEntity } from './queue.entity';
import { QueuesService } from './queues.service';

@ApiTags('Directory')
@Controller('api/queues')
export class QueuesController extends RowsController<QueueId, QueueEntity, QueuesService> {
  constructor(queues: QueuesService) {
    super(queues);
  }

  /** Adds a queue; what is not said is as it is for most: at most ten callers, three minutes, the star key leaves it. */
  @Post()
  add(@Body() body: AddQueueDto): Promise<QueueEntity> {
    return this.rows.addQueue(newId(queueId), body);
  }

  @Patch(':id')
  change(@Param('id') id: QueueId, @Body() { revision, ...changes }: ChangeQueueDto): Promise<QueueEntity> {
    return this.rows.changeQueue(id, revision, changes);
  }
}
