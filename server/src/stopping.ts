import type { Server } from 'node:http';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';

/** How long a request under way may take once the server stops, in ms. */
const mostWaitMs = 10_000;

/**
 * Tells how to stop the server: it takes nothing new, answers what was asked, hangs up, and closes the database.
 *
 * Left to itself, a server waits until browsers hang up, and they keep connections open for minutes, unused ones too.
 */
export function stopperOf(app: NestExpressApplication): () => Promise<void> {
  const server = app.getHttpServer() as Server;
  const underWay = new Set<Promise<void>>();
  app.use((_request: Request, response: Response, next: NextFunction) => {
    const answered = new Promise<void>((resolve) => response.once('close', resolve));
    underWay.add(answered);
    response.once('close', () => underWay.delete(answered));
    next();
  });
  return async () => {
    server.close();
    await Promise.race([Promise.all(underWay), pause(mostWaitMs)]);
    server.closeAllConnections();
    await app.close();
  };
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms).unref());
