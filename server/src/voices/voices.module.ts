import { Global, Module, type DynamicModule } from '@nestjs/common';
import type { Config } from '../config';
import { VoiceFolder } from './voiceFolder';

@Global()
@Module({})
export class VoicesModule {
  static for({ voicesDir }: Config): DynamicModule {
    return {
      module: VoicesModule,
      providers: [{ provide: VoiceFolder, useFactory: () => new VoiceFolder(voicesDir ?? null) }],
      exports: [VoiceFolder],
    };
  }
}
