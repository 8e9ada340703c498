import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GreetingsModule } from '../greetings/greetings.module';
import { PeopleModule } from '../people/people.module';
import { BoxEntity } from './box.entity';
import { BoxesController } from './boxes.controller';
import { BoxesService } from './boxes.service';

@Module({
  imports: [TypeOrmModule.forFeature([BoxEntity]), GreetingsModule, PeopleModule],
  controllers: [BoxesController],
  providers: [BoxesService],
  exports: [BoxesService],
})
export class BoxesModule {}
