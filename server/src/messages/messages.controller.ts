import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  Patch,
  Post,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { BoxId } from '@locutor/core/directory';
import { invalid } from '../problems/problem';
import { LeaveMessageDto, MarkMessageDto } from './message.dto';
import type { MessageEntity, MessageId } from './message.entity';
import { MessagesService } from './messages.service';

/** Ten minutes of 16-bit sound at 8 kHz fit in, with room to spare. */
const largestFile = 12 * 1024 * 1024;

@ApiTags('Messages')
@Controller('api')
export class MessagesController {
  constructor(private readonly messages: MessagesService) {}

  @Get('messages')
  list(): Promise<MessageEntity[]> {
    return this.messages.list();
  }

  /** Leaves a message in a box; the part `audio` is a WAV file, 16-bit PCM or G.711 mu-law. */
  @Post('boxes/:boxId/messages')
  @ApiConsumes('multipart/form-data')
  @UseInterceptors(FileInterceptor('audio', { limits: { fileSize: largestFile, files: 1, fields: 8 } }))
  leave(
    @Param('boxId') boxId: BoxId,
    @Body() body: LeaveMessageDto,
    @UploadedFile() file: Express.Multer.File | undefined,
  ): Promise<MessageEntity> {
    if (!file) throw invalid([{ at: 'audio', says: 'The message’s audio is missing.' }]);
    return this.messages.leave(boxId, body, file.buffer);
  }

  @Patch('messages/:id')
  mark(@Param('id') id: MessageId, @Body() { heard }: MarkMessageDto): Promise<MessageEntity> {
    return this.messages.mark(id, heard);
  }

  @Delete('messages/:id')
  @HttpCode(204)
  remove(@Param('id') id: MessageId): Promise<void> {
    return this.messages.remove(id);
  }

  @Post('messages/:id/restore')
  @HttpCode(200)
  restore(@Param('id') id: MessageId): Promise<MessageEntity> {
    return this.messages.restore(id);
  }
}
