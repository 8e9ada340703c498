import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { TakesModule } from '../takes/takes.module';
import { GreetingEntity } from './greeting.entity';
import { GreetingsController } from './greetings.controller';
import { GreetingsService } from './greetings.service';

@Module({
  imports: [TakesModule, TypeOrmModule.forFeature([GreetingEntity])],
  controllers: [GreetingsController],
  providers: [GreetingsService],
  exports: [GreetingsService],
})
export class GreetingsModule {}
