import { Controller, Get, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { PatternField, WholeField } from '../problems/fields';
import { HolidaysService, mostYears, type Holiday, type HolidayPlace } from './holidays.service';

class HolidaysQuery {
  @PatternField({ pattern: /^[A-Z]{2}$/, says: 'A country is two letters, such as US.' })
  country: string;

  @PatternField({ pattern: /^[A-Z0-9]{0,6}$/, says: 'A region is a short code, such as ME.', optional: true })
  region?: string;

  @Type(() => Number)
  @WholeField({ name: 'The first year', least: 1970, most: 2100 })
  from: number;

  @Type(() => Number)
  @WholeField({ name: 'How many years', least: 1, most: mostYears })
  years: number;
}

@ApiTags('Hours')
@Controller('api/holidays')
export class HolidaysController {
  constructor(private readonly holidays: HolidaysService) {}

  /** Countries whose holidays are known, and their regions. */
  @Get('places')
  places(): readonly HolidayPlace[] {
    return this.holidays.places();
  }

  /** Regions of a country that keep other days than all of it does. */
  @Get('apart')
  apart(@Query() { country, from }: HolidaysQuery): Promise<HolidayPlace['regions']> {
    return this.holidays.apart(country, from);
  }

  /** Public holidays, to choose from. */
  @Get()
  of(@Query() { country, region, from, years }: HolidaysQuery): readonly Holiday[] {
    return this.holidays.of(country, region ?? '', from, years);
  }
}
