import { Body, Controller, Post, Req, Res } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { answerInStages, stagesType } from '../problems/answerInStages';
import { PhoneTakeDto } from './phoneTake.dto';
import { PhoneTakesService, type PhoneStage } from './phoneTakes.service';

@ApiTags('Recordings')
@Controller('api/phone-takes')
export class PhoneTakesController {
  constructor(private readonly takes: PhoneTakesService) {}

  /**
   * Rings a desk phone, on which a greeting is spoken and kept. Asked for `application/x-ndjson` it tells how far that
   * is (`ringing`, `instructing`, `recording`, `finishing`, `asking`, `kept`) and at the end `{"done": ...}`. Giving up the
   * request hangs up.
   */
  @Post()
  @ApiProduces('application/json', stagesType)
  record(@Body() body: PhoneTakeDto, @Req() request: Request, @Res() response: Response): Promise<void> {
    return answerInStages<unknown, PhoneStage>(request, response, 201, (stages) => this.takes.record(body, stages));
  }
}
