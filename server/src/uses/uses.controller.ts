import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Names, ReferredId } from '@locutor/core/line';
import { ReplacementDto } from './replacement.dto';
import type { ReplacementId } from './replacementId';
import { ReplacementsService, type Plan, type Replacement } from './replacements.service';
import { UsesService } from './uses.service';

@ApiTags('Directory')
@Controller('api')
export class UsesController {
  constructor(
    private readonly uses: UsesService,
    private readonly replacements: ReplacementsService,
  ) {}

  /** Where everything is used, on every line, in words, by its id. */
  @Get('uses')
  async all(): Promise<Readonly<Record<string, readonly string[]>>> {
    return Object.fromEntries(await this.uses.all());
  }

  /** What everything is called by its id, things that were deleted too: the call log and old versions speak of them. */
  @Get('names')
  names(): Promise<Names> {
    return this.uses.names();
  }

  /** Where something is used, on every line, in words. */
  @Get('uses/:id')
  of(@Param('id') id: string): Promise<readonly string[]> {
    return this.uses.of(id as ReferredId);
  }

  /** What putting another in its place, or taking it out, would do. */
  @Post('replacements/plan')
  @HttpCode(200)
  plan(@Body() body: ReplacementDto): Promise<Plan> {
    return this.replacements.plan(body);
  }

  /** Lets whatever refers to one thing refer to another of its kind: drafts, groups, queues, boxes, greetings, lines. */
  @Post('replacements')
  @HttpCode(200)
  replace(@Body() body: ReplacementDto): Promise<Replacement> {
    return this.replacements.replace(body);
  }

  /** Takes a replacement back, but for what was changed since. */
  @Post('replacements/:id/undo')
  @HttpCode(200)
  undo(@Param('id') id: string): Promise<{ readonly changedSince: number }> {
    return this.replacements.undo(id as ReplacementId);
  }
}
