import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GreetingsModule } from '../greetings/greetings.module';
import { HoursModule } from '../hours/hours.module';
import { PeopleModule } from '../people/people.module';
import { QueueEntity } from './queue.entity';
import { QueuesController } from './queues.controller';
import { QueuesService } from './queues.service';

@Module({
  imports: [TypeOrmModule.forFeature([QueueEntity]), GreetingsModule, HoursModule, PeopleModule],
  controllers: [QueuesController],
  providers: [QueuesService],
  exports: [QueuesService],
})
export class QueuesModule {}
