import { join } from 'node:path';
import { Global, Module, type DynamicModule } from '@nestjs/common';
import type { Config } from '../config';
import { AudioController } from './audio.controller';
import { AudioStore } from './audioStore';

@Global()
@Module({})
export class AudioModule {
  static for({ dataDir }: Config): DynamicModule {
    const store = new AudioStore(join(dataDir, 'audio'));
    return {
      module: AudioModule,
      controllers: [AudioController],
      providers: [{ provide: AudioStore, useValue: store }],
      exports: [AudioStore],
    };
  }
}
