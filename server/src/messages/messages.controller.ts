import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  Patch,
  Post,
  Query,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { BoxId } from '@locutor/core/directory';
import { invalid } from '../problems/problem';
import { ForwardMessageDto, LeaveMessageDto, MarkMessageDto } from './message.dto';
import type { MessageEntity, MessageId } from './message.entity';
import { MessagesService } from './messages.service';

/** Ten minutes of 16-bit sound at 8 kHz fit in, with room to spare. */
const largestFile = 12 * 1024 * 1024;

@ApiTags('Messages')
@Controller('api')
export class MessagesController {
  constructor(private readonly messages: MessagesService) {}

  @Get('messages')
  list(@Query('deleted') deleted: string | undefined): Promise<MessageEntity[]> {
    return this.messages.list(deleted === 'true');
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
    return this.messages.leave(boxId, body, file.path);
  }

  @Patch('messages/:id')
  mark(@Param('id') id: MessageId, @Body() { heard }: MarkMessageDto): Promise<MessageEntity> {
    return this.messages.mark(id, heard);
  }

  /** Puts a copy in another box, or sends it to somebody by e-mail. */
  @Post('messages/:id/forward')
  @HttpCode(200)
  forward(@Param('id') id: MessageId, @Body() { boxId, personId }: ForwardMessageDto): Promise<MessageEntity> {
    if (boxId) return this.messages.forwardToBox(id, boxId);
    if (personId) return this.messages.forwardToPerson(id, personId);
    throw invalid([{ at: 'boxId', says: 'Choose a box or somebody to whom the message goes.' }]);
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
