import { Controller, Get, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { TakesModule } from '../takes/takes.module';
import { ListeningService } from './listening.service';
import { Recogniser } from './recogniser';

@ApiTags('Recordings')
@Controller('api/listening')
export class ListeningController {
  constructor(private readonly listening: ListeningService) {}

  /** Whether recordings can be listened to here. */
  @Get()
  isThere(): { readonly isThere: boolean } {
    return { isThere: this.listening.isThere };
  }
}

@Module({
  imports: [TakesModule],
  controllers: [ListeningController],
  providers: [ListeningService, Recogniser],
})
export class ListeningModule {}
