import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { uploads } from '../audio/uploads';
import { SoundsService } from '../sounds/sounds.service';
import { TakeEntity } from './take.entity';
import { TakesController } from './takes.controller';
import { TakesService } from './takes.service';

@Module({
  imports: [uploads, TypeOrmModule.forFeature([TakeEntity])],
  controllers: [TakesController],
  providers: [TakesService, SoundsService],
  exports: [TakesService, SoundsService],
})
export class TakesModule {}
