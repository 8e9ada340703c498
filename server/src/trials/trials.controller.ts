import { Body, Controller, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { type CallScript, type RungPhone, type TranscriptEntry } from '@locutor/core/call';
import { runTrial, type CallerAct, type StaffAct } from '@locutor/core/exchange';
import type { LineId } from '@locutor/core/line';
import { ScriptsService } from './scripts.service';
import { TrialsDto, type CallerActDto, type StaffActDto, type TrialDto } from './trial.dto';

/** How a trial went: its transcript, and whether it came to an end. */
export interface TrialAnswer {
  readonly transcript: readonly TranscriptEntry[];
  readonly ended: boolean;
}

@ApiTags('Calls')
@Controller('api/lines/:lineId')
export class TrialsController {
  constructor(private readonly scripts: ScriptsService) {}

  /** Everything that a call to the line goes by: attendants, hours, directory, greetings. */
  @Get('script')
  script(@Param('lineId') lineId: LineId, @Query('of') of: string | undefined): Promise<CallScript> {
    return this.scripts.of(lineId, of === 'onAir' ? 'onAir' : 'draft');
  }

  /** Runs calls on a clock of their own, with what is said timed by estimate, and tells how each went. */
  @Post('trials')
  @HttpCode(200)
  async run(@Param('lineId') lineId: LineId, @Body() { of, trials }: TrialsDto): Promise<TrialAnswer[]> {
    const script = await this.scripts.of(lineId, of);
    return trials.map((trial) => {
      const { transcript, ended } = runTrial(script, {
        atMs: trial.atMs,
        callerNumber: trial.callerNumber,
        caller: trial.caller.map(callerAct),
        staff: (phone) => staffAct(actFor(trial, phone)),
      });
      return { transcript, ended };
    });
  }
}

function callerAct({ type, afterMs, key = '#', words = '' }: CallerActDto): CallerAct {
  if (type === 'press') return { type, key, afterMs };
  return type === 'speak' ? { type, words, afterMs } : { type, afterMs };
}

function actFor({ staff, named = {} }: TrialDto, phone: RungPhone): StaffActDto {
  const names = phone.type === 'person' ? [phone.number, phone.personId] : [phone.number, phone.contactId];
  const act = names.map((name) => (name && Object.hasOwn(named, name) ? named[name] : undefined));
  return act.find((each) => each !== undefined) ?? staff;
}

function staffAct({ type, afterMs = 4000, talkMs = 60_000 }: StaffActDto): StaffAct {
  switch (type) {
    case 'answer':
      return { type, afterMs, talkMs };
    case 'voicemail':
      return { type, afterMs };
    case 'busy':
    case 'noAnswer':
      return { type };
    default:
      return { type: 'noAnswer' };
  }
}
