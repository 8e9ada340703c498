import 'reflect-metadata';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Test } from '@nestjs/testing';
import { Recogniser } from '../listening/recogniser';
import request from 'supertest';
import { appOptions, dress } from '../app';
import { AppModule } from '../app.module';
import { Clock } from '../clock/clock';
import { theLine, type Line } from '../live/line';
import { Voice } from '../speech/voice';
import { keepThreads } from '../workers';
import { HandClock } from './handClock';
import { ToneVoice } from './toneVoice';

// Each spec has a server of its own, and threads take as long to begin as many a spec.
keepThreads();

export interface TestServer {
  readonly app: NestExpressApplication;
  readonly dataDir: string;
  /** The server's clock: it stands still unless a spec lets time pass. */
  readonly clock: HandClock;
  /** Asks the API and gives back status and body. */
  ask(method: 'get' | 'post' | 'put' | 'patch' | 'delete', path: string, body?: object): Promise<Answer>;
  /** Stops the server; its data is deleted unless it is to be opened again. */
  stop(keepData?: boolean): Promise<void>;
}

interface Options {
  /** The data of an earlier server; without it there is none yet. */
  readonly dataDir?: string;
  /** The built web application; none, unless a spec is about it. */
  readonly webDir?: string;
  /** The folder of voices of the business's own; none, unless a spec is about it. */
  readonly voicesDir?: string;
  /** Whether words are really spoken, or stood in for by a tone, which is quick. */
  readonly voice?: 'tone' | 'spoken';
  /** Whether recordings are listened to, where a recogniser is installed; that takes long. */
  readonly listens?: boolean;
  /** A line in place of the stand-in. */
  readonly line?: Line;
}

export interface Answer {
  readonly status: number;
  readonly type: string;
  // What comes back is what the specs are about.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
}

/** The whole server on a real database of its own. */
export async function testServer({
  dataDir = newFolder(),
  voice = 'tone',
  listens = false,
  webDir,
  voicesDir,
  line,
}: Options = {}): Promise<TestServer> {
  const config = { dataDir, webDir: webDir ?? null, port: 0, ...(voicesDir && { voicesDir }) };
  const clock = new HandClock();
  const building = Test.createTestingModule({ imports: [AppModule.for(config)] });
  building.overrideProvider(Clock).useValue(clock);
  if (voice === 'tone') building.overrideProvider(Voice).useValue(new ToneVoice());
  if (!listens) building.overrideProvider(Recogniser).useValue({ isThere: false });
  if (line) building.overrideProvider(theLine).useValue(line);
  const app = (await building.compile()).createNestApplication<NestExpressApplication>(appOptions);
  dress(app, config);
  await app.init();
  return {
    app,
    dataDir,
    clock,
    async ask(method, path, body) {
      const asked = request(app.getHttpServer())[method](path).set('Host', '127.0.0.1');
      const { status, type, body: answer } = await (body ? asked.send(body) : asked);
      return { status, type, body: answer };
    },
    async stop(keepData = false) {
      await app.close();
      if (!keepData) rmSync(dataDir, { recursive: true, force: true });
    },
  };
}

const newFolder = (): string => mkdtempSync(join(tmpdir(), 'locutor-spec-'));

export const boatyardFacts = {
  name: 'Larkspur Cove Boatyard',
  number: '+1 207 555 0140',
  timeZone: 'America/New_York',
  openDays: [1, 2, 3, 4, 5],
  opensMin: 480,
  closesMin: 1050,
  people: [
    { name: 'Noor Haldane', extension: '212' },
    { name: 'Priya Castellanos', extension: '204' },
  ],
};
