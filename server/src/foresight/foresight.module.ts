import { Global, Module, type MiddlewareConsumer, type NestModule } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { Foresight } from './foresight';

/** Who sends `Prefer: handling=strict` (RFC 7240, section 4.4) is asked before a change breaks what is on air. */
@Global()
@Module({ providers: [Foresight], exports: [Foresight] })
export class ForesightModule implements NestModule {
  constructor(private readonly foresight: Foresight) {}

  configure(consumer: MiddlewareConsumer): void {
    consumer
      .apply((request: Request, response: Response, next: NextFunction) => {
        if (!isStrict(request)) return next();
        response.set('Preference-Applied', 'handling=strict');
        this.foresight.asking(next);
      })
      .forRoutes('api/*path');
  }
}

const isStrict = ({ headers }: Request): boolean =>
  [headers.prefer ?? []].flat().some((each) => /(?:^|,)\s*handling\s*=\s*"?strict"?\s*(?:,|;|$)/i.test(each));
