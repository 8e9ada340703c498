import type { Request, Response } from 'express';
import { log } from '../log/log';
import { Problem } from './problem';

/** Lines of JSON: a stage each, and at the end what came of it. */
export const stagesType = 'application/x-ndjson';

/** How work that takes long tells how far it is, and hears that it is not wanted any more. */
export interface Stages<Stage> {
  readonly tell?: (stage: Stage) => void;
  readonly signal: AbortSignal;
}

/** Answers with what comes of long work, in one piece or, if asked to, with its stages line by line. */
export async function answerInStages<Done, Stage = string>(
  request: Request,
  response: Response,
  status: number,
  work: (stages: Stages<Stage>) => Promise<Done>,
): Promise<void> {
  const givenUp = new AbortController();
  response.on('close', () => givenUp.abort());
  if (request.get('Accept') !== stagesType) {
    const done = await work({ signal: givenUp.signal });
    response.status(status).json(done);
    return;
  }
  const write = (line: object): boolean => response.write(`${JSON.stringify(line)}\n`);
  response.status(status).type(stagesType).flushHeaders();
  try {
    write({ done: await work({ signal: givenUp.signal, tell: (stage) => write({ stage }) }) });
  } catch (error) {
    if (givenUp.signal.aborted) return;
    if (!(error instanceof Problem)) log.error({ err: error }, 'Long work failed');
    const detail = 'Something went wrong on the server. What was saved before is safe; try again.';
    write({ problem: error instanceof Problem ? error.details : { status: 500, title: 'Our fault', detail } });
  } finally {
    response.end();
  }
}
