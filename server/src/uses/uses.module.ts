import { Global, Module } from '@nestjs/common';
import { ReplacementsService } from './replacements.service';
import { UsesController } from './uses.controller';
import { UsesService } from './uses.service';

@Global()
@Module({ controllers: [UsesController], providers: [UsesService, ReplacementsService], exports: [UsesService] })
export class UsesModule {}
