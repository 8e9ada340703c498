import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LinesModule } from '../lines/lines.module';
import { CallerListEntity } from './callerList.entity';
import { CallerListsController } from './callerLists.controller';
import { CallerListsService } from './callerLists.service';

@Module({
  imports: [TypeOrmModule.forFeature([CallerListEntity]), LinesModule],
  controllers: [CallerListsController],
  providers: [CallerListsService],
  exports: [CallerListsService],
})
export class CallerListsModule {}
