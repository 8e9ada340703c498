import { Controller, Get, Header, HttpCode, Module, Param, Post, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LinesModule } from '../lines/lines.module';
import { PeopleModule } from '../people/people.module';
import { SettingsModule } from '../settings/settings.module';
import { OutboxService } from './outbox.service';
import { OutboxItemEntity, type OutboxItemId } from './outboxItem.entity';

@ApiTags('Messages')
@Controller('api/outbox')
export class OutboxController {
  constructor(private readonly outbox: OutboxService) {}

  /** E-mails and texts, newest first. */
  @Get()
  list(): Promise<OutboxItemEntity[]> {
    return this.outbox.list();
  }

  /** An e-mail as it is sent (RFC 5322). */
  @Get(':id/eml')
  @Header('Content-Disposition', 'attachment; filename="message.eml"')
  async eml(@Param('id') id: OutboxItemId): Promise<StreamableFile> {
    return new StreamableFile(await this.outbox.eml(id), { type: 'message/rfc822' });
  }

  /** Tries now what failed or waits. */
  @Post(':id/try')
  @HttpCode(200)
  tryAgain(@Param('id') id: OutboxItemId): Promise<OutboxItemEntity> {
    return this.outbox.tryAgain(id);
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([OutboxItemEntity]), SettingsModule, PeopleModule, LinesModule],
  controllers: [OutboxController],
  providers: [OutboxService],
  exports: [OutboxService],
})
export class OutboxModule {}
