import { Global, Module } from '@nestjs/common';
import { Clock, MachineClock } from './clock';

/** One clock for the whole server. */
@Global()
@Module({ providers: [{ provide: Clock, useClass: MachineClock }], exports: [Clock] })
export class ClockModule {}
