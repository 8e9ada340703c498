import { Body, Controller, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { CallScript, TranscriptEntry } from '@locutor/core/call';
import type { LineId } from '@locutor/core/line';
import { Reckoning } from '../reckoning/reckoning.module';
import { ScriptsService } from './scripts.service';
import { TrialsDto } from './trial.dto';

/** How a trial went: its transcript, and whether it came to an end. */
export interface TrialAnswer {
  readonly transcript: readonly TranscriptEntry[];
  readonly ended: boolean;
}

@ApiTags('Calls')
@Controller('api/lines/:lineId')
export class TrialsController {
  constructor(
    private readonly scripts: ScriptsService,
    private readonly reckoning: Reckoning,
  ) {}

  /** Everything that a call to the line goes by: attendants, hours, directory, greetings. */
  @Get('script')
  script(@Param('lineId') lineId: LineId, @Query('of') of: string | undefined): Promise<CallScript> {
    return this.scripts.of(lineId, of === 'onAir' ? 'onAir' : 'draft');
  }

  /** Runs calls on a clock of their own, with what is said timed by estimate, and tells how each went. */
  @Post('trials')
  @HttpCode(200)
  async run(@Param('lineId') lineId: LineId, @Body() { of, trials }: TrialsDto): Promise<readonly TrialAnswer[]> {
    const script = await this.scripts.of(lineId, of);
    return this.reckoning.of('trials', { script, trials });
  }
}
