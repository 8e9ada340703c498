import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DictionaryModule } from '../dictionary/dictionary.module';
import { LocalVoice } from './localVoice';
import { SpeechController } from './speech.controller';
import { SpeechService } from './speech.service';
import { SpokenSentenceEntity } from './spokenSentence.entity';
import { Voice } from './voice';
import { VoicesController } from './voices.controller';

@Module({
  imports: [DictionaryModule, TypeOrmModule.forFeature([SpokenSentenceEntity])],
  controllers: [SpeechController, VoicesController],
  providers: [SpeechService, { provide: Voice, useClass: LocalVoice }],
  exports: [SpeechService, Voice],
})
export class SpeechModule {}
