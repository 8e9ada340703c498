import { Global, Module } from '@nestjs/common';
import { ChangedRows } from './changedRows';
import { Changes } from './changes.service';

/** One place for the whole server where changes are told. */
@Global()
@Module({ providers: [Changes, ChangedRows], exports: [Changes] })
export class ChangesModule {}
