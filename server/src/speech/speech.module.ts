import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { FliteVoice } from './fliteVoice';
import { SpeechController } from './speech.controller';
import { SpeechService } from './speech.service';
import { SpokenSentenceEntity } from './spokenSentence.entity';
import { Voice } from './voice';

@Module({
  imports: [TypeOrmModule.forFeature([SpokenSentenceEntity])],
  controllers: [SpeechController],
  providers: [SpeechService, { provide: Voice, useClass: FliteVoice }],
})
export class SpeechModule {}
