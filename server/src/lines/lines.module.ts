import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LineEntity } from './line.entity';
import { LinesController } from './lines.controller';
import { LinesService } from './lines.service';
import { OwnNumbers } from './ownNumbers';

@Module({
  imports: [TypeOrmModule.forFeature([LineEntity])],
  controllers: [LinesController],
  providers: [LinesService, OwnNumbers],
  exports: [LinesService, OwnNumbers],
})
export class LinesModule {}
