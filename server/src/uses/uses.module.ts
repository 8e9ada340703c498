import { Global, Module } from '@nestjs/common';
import { UsesService } from './uses.service';

@Global()
@Module({ providers: [UsesService], exports: [UsesService] })
export class UsesModule {}
