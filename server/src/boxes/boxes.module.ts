import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GreetingsModule } from '../greetings/greetings.module';
import { PeopleModule } from '../people/people.module';
import { BoxEntity } from './box.entity';
import { BoxPinEntity } from './boxPin.entity';
import { BoxPinsService } from './boxPins.service';
import { BoxesController } from './boxes.controller';
import { BoxesService } from './boxes.service';

@Module({
  imports: [TypeOrmModule.forFeature([BoxEntity, BoxPinEntity]), GreetingsModule, PeopleModule],
  controllers: [BoxesController],
  providers: [BoxesService, BoxPinsService],
  exports: [BoxesService, BoxPinsService],
})
export class BoxesModule {}
