import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { uploads } from '../audio/uploads';
import { BoxesModule } from '../boxes/boxes.module';
import { OutboxModule } from '../outbox/outbox.module';
import { MessageEntity } from './message.entity';
import { MessagesController } from './messages.controller';
import { MessagesService } from './messages.service';

@Module({
  imports: [uploads, TypeOrmModule.forFeature([MessageEntity]), BoxesModule, OutboxModule],
  controllers: [MessagesController],
  providers: [MessagesService],
  exports: [MessagesService],
})
export class MessagesModule {}
