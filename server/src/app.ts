import 'reflect-metadata';
import { join } from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { door } from './access/door';
import { AppModule } from './app.module';
import { host, type Config } from './config';
import { StandInGateway } from './standIn/gateway';
import { LiveLine } from './live/liveLine.service';
import { nestLog } from './log/nestLog';
import { describeApi } from './openapi';
import { plainBodies } from './problems/plainBodies';
import { CannotStart } from './storage/storageTrouble';
import { stopperOf } from './stopping';

/** Of bodies only JSON is read, and files where they are sent. */
export const appOptions = { logger: nestLog, bodyParser: false } as const;

/** A server that listens. */
export interface RunningServer {
  readonly app: NestExpressApplication;
  readonly url: string;
  /** Answers what was asked, hangs up and closes the database. */
  readonly stop: () => Promise<void>;
}

/** Starts a server and tells where it listens. */
export async function startServer(config: Config): Promise<RunningServer> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.for(config), {
    ...appOptions,
    abortOnError: false,
  });
  const stop = dress(app, config);
  await listen(app, config.port);
  const { port } = app.getHttpServer().address() as { port: number };
  return { app, stop, url: `http://${host}:${port}` };
}

/** Gives a bare application its headers, limits, description, sockets and screens. Gives back how to stop it. */
export function dress(app: NestExpressApplication, config: Config): RunningServer['stop'] {
  const stop = stopperOf(app);
  // What is kept by no cache needs no name by which it would be asked for again: making one is work on each answer.
  app.disable('etag');
  app.use(safeHeaders(), door, compression(), noStore);
  app.useBodyParser('json', { limit: '4mb' });
  app.use(plainBodies);
  describeApi(app);
  serveLive(app);
  if (config.webDir) serveWeb(app, config.webDir);
  return stop;
}

function safeHeaders(): ReturnType<typeof helmet> {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        // The interface's style library writes its styles into the page.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        mediaSrc: ["'self'", 'blob:'],
        workerSrc: ["'self'", 'blob:'],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  });
}

/** What is told of a business is kept by no cache, unless an answer says otherwise of itself. */
function noStore({ path }: Request, response: Response, next: NextFunction): void {
  if (path.startsWith('/api/')) response.set('Cache-Control', 'no-store');
  next();
}

/** The live line's sockets; and it reads the directory again after whatever may have changed it. */
function serveLive(app: NestExpressApplication): void {
  const line = app.get(LiveLine);
  app.get(StandInGateway).listenOn(app.getHttpServer());
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET') response.on('finish', () => line.directoryChanged());
    if (request.method === 'PUT' && request.path === '/api/dictionary') {
      response.on('finish', () => line.dictionaryChanged());
    }
    next();
  });
}

/** The built web application; any path that is not a file of it or of the API is one of its screens. */
function serveWeb(app: NestExpressApplication, webDir: string): void {
  app.useStaticAssets(join(webDir, 'assets'), { prefix: '/assets', immutable: true, maxAge: '1y' });
  app.useStaticAssets(webDir, { maxAge: 0 });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isScreen = request.method === 'GET' && !request.path.startsWith('/api/') && request.accepts('html');
    if (isScreen) response.set('Cache-Control', 'no-cache').sendFile(join(webDir, 'index.html'), { dotfiles: 'allow' });
    else next();
  });
}

/** @throws CannotStart when the port is not to be had. */
async function listen(app: NestExpressApplication, port: number): Promise<void> {
  try {
    await app.listen(port, host);
  } catch (error) {
    await app.close();
    const { code } = error as NodeJS.ErrnoException;
    if (code !== 'EADDRINUSE' && code !== 'EACCES') throw error;
    const why = code === 'EACCES' ? 'is not for everybody to use' : 'is in use by another program';
    throw new CannotStart(`Port ${port} ${why}: choose another one with PORT.`, { cause: error });
  }
}
