import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { AddSessionDto, SetRecordingDto } from './recordings.dto';
import { RecordingsService } from './recordings.service';
import type { SessionEntity } from './session.entity';
import { SessionsService } from './sessions.service';
import type { TextRecordingEntity } from './textRecording.entity';

@ApiTags('Recordings')
@Controller('api')
export class RecordingsController {
  constructor(
    private readonly recordings: RecordingsService,
    private readonly sessions: SessionsService,
  ) {}

  /** The texts that are heard from a recording, but for sheets and greetings of the library. */
  @Get('recordings')
  list(): Promise<TextRecordingEntity[]> {
    return this.recordings.list();
  }

  /** Lets a text be heard from a recording, or from the voice again. */
  @Put('recordings')
  set(@Body() body: SetRecordingDto): Promise<TextRecordingEntity[]> {
    return this.recordings.set(body);
  }

  /** Recording sessions, the newest first. */
  @Get('recording-sessions')
  listSessions(): Promise<SessionEntity[]> {
    return this.sessions.list();
  }

  @Post('recording-sessions')
  addSession(@Body() body: AddSessionDto): Promise<SessionEntity> {
    return this.sessions.add(body);
  }

  /** Takes a session off the list; its recordings stay. */
  @Delete('recording-sessions/:id')
  @HttpCode(204)
  removeSession(@Param('id') id: string): Promise<void> {
    return this.sessions.remove(id);
  }
}
