import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { DataSource } from 'typeorm';

@ApiTags('Health')
@Controller('api/health')
export class HealthController {
  constructor(private readonly database: DataSource) {}

  /** Whether the server is up and its database answers. */
  @Get()
  async health(): Promise<{ status: 'ok' }> {
    await this.database.query('SELECT 1');
    return { status: 'ok' };
  }
}
