import { Global, Inject, Module, type DynamicModule, type OnApplicationShutdown } from '@nestjs/common';
import type { Config } from '../config';
import { dataFolder } from './dataFolder';
import { FolderHold } from './folderHold';
import { StorageController } from './storage.controller';
import { withStorage } from './storageTrouble';

/** The folder with all that is kept: held by this server, from before its database is opened until it is closed. */
@Global()
@Module({})
export class StorageModule implements OnApplicationShutdown {
  constructor(@Inject(FolderHold) private readonly hold: FolderHold) {}

  static for({ dataDir }: Config): DynamicModule {
    return {
      module: StorageModule,
      controllers: [StorageController],
      providers: [
        { provide: dataFolder, useValue: dataDir },
        { provide: FolderHold, useFactory: () => withStorage(dataDir, () => FolderHold.take(dataDir)) },
      ],
      exports: [dataFolder, FolderHold],
    };
  }

  onApplicationShutdown(): void {
    this.hold.release();
  }
}
