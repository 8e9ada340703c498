import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { TakesModule } from '../takes/takes.module';
import { RecordingsController } from './recordings.controller';
import { RecordingsService } from './recordings.service';
import { SessionEntity } from './session.entity';
import { SessionsService } from './sessions.service';
import { TextRecordingEntity } from './textRecording.entity';

@Module({
  imports: [TakesModule, TypeOrmModule.forFeature([TextRecordingEntity, SessionEntity])],
  controllers: [RecordingsController],
  providers: [RecordingsService, SessionsService],
  exports: [RecordingsService],
})
export class RecordingsModule {}
