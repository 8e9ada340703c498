import { MulterModule } from '@nestjs/platform-express';
import { AudioStore } from './audioStore';

/** For modules that take files in: they are written to disk as they come, so that none passes through memory. */
export const uploads = MulterModule.registerAsync({
  inject: [AudioStore],
  useFactory: ({ incoming }: AudioStore) => ({ dest: incoming }),
});
