import { Controller, Get, Inject, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { DataSource } from 'typeorm';
import { SoundsService } from '../sounds/sounds.service';
import { Voice } from '../speech/voice';
import { dataFolder } from '../storage/dataFolder';
import { diskRoom } from '../storage/diskRoom';
import { describeStorageTrouble, storageTroubleOf } from '../storage/storageTrouble';
import type { WorkersState } from '../workers';

/** How a part of the server is. */
interface Part {
  readonly status: 'ok' | 'trouble';
  /** What is wrong and what to do; empty while nothing is. */
  readonly says: string;
}

export interface Health {
  readonly status: Part['status'];
  readonly database: Part;
  readonly disk: Part & { readonly freeBytes: number };
  /** What works on recordings, and what speaks. */
  readonly sound: Part & WorkersState;
  readonly speech: Part & WorkersState;
}

/** Work that takes no longer than this is no trouble, in ms. */
const longWorkMs = 120_000;

@ApiTags('Health')
@Controller('api/health')
export class HealthController {
  constructor(
    @Inject(dataFolder) private readonly folder: string,
    private readonly database: DataSource,
    private readonly sounds: SoundsService,
    private readonly voice: Voice,
  ) {}

  /** Whether all parts of the server work; with status 503 when it can answer nothing else, since its database does not. */
  @Get()
  async health(@Res({ passthrough: true }) response: Response): Promise<Health> {
    const parts = {
      database: await this.databasePart(),
      disk: await this.diskPart(),
      sound: workersPart(this.sounds.state()),
      speech: workersPart(this.voice.state()),
    };
    const isWell = Object.values(parts).every(({ status }) => status === 'ok');
    if (parts.database.status !== 'ok') response.status(503);
    return { status: isWell ? 'ok' : 'trouble', ...parts };
  }

  private async databasePart(): Promise<Part> {
    try {
      await this.database.query('SELECT 1 FROM "line" LIMIT 1');
      return { status: 'ok', says: '' };
    } catch (error) {
      const trouble = storageTroubleOf(error) ?? 'failing';
      return { status: 'trouble', says: describeStorageTrouble(trouble, this.folder) };
    }
  }

  private async diskPart(): Promise<Health['disk']> {
    const { freeBytes, isLow } = await diskRoom(this.folder);
    const says = `Little room is left on the disk that holds ${this.folder}: make some.`;
    return isLow ? { status: 'trouble', says, freeBytes } : { status: 'ok', says: '', freeBytes };
  }
}

function workersPart(state: WorkersState): Part & WorkersState {
  const isStuck = state.busyMs > longWorkMs;
  const says = isStuck ? 'A piece of work does not come to its end: start Locutor again if it stays so.' : '';
  return { status: isStuck ? 'trouble' : 'ok', says, ...state };
}
