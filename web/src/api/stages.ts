import { ApiProblem } from './client';

/** Long work under way, which can be given up. */
export interface Work<Done> {
  readonly done: Promise<Done>;
  readonly cancel: () => void;
}

/** Asks for long work that tells its stages as they come. */
export function askInStages<Done, Stage>(
  path: string,
  body: FormData | string,
  tell: (stage: Stage) => void,
): Work<Done> {
  const giveUp = new AbortController();
  return { done: stream<Done, Stage>(path, body, tell, giveUp.signal), cancel: () => giveUp.abort() };
}

const lines = 'application/x-ndjson';

interface Line<Done, Stage> {
  readonly stage?: Stage;
  readonly done?: Done;
  readonly problem?: { readonly status: number; readonly detail: string; readonly type?: string };
}

async function stream<Done, Stage>(
  path: string,
  body: FormData | string,
  tell: (stage: Stage) => void,
  signal: AbortSignal,
): Promise<Done> {
  const headers = { Accept: lines, ...(typeof body === 'string' && { 'Content-Type': 'application/json' }) };
  const response = await fetch(path, { method: 'POST', body, headers, signal }).catch((error: unknown) => {
    if (signal.aborted) throw error;
    throw new ApiProblem(0, 'Locutor’s server does not answer. Nothing was lost; try again.');
  });
  if (!response.ok || !response.body) {
    const { detail = 'The server refused this.' } = (await response.json().catch(() => ({}))) as { detail?: string };
    throw new ApiProblem(response.status, detail);
  }
  let rest = '';
  for await (const piece of piecesOf(response.body)) {
    const parts = (rest + piece).split('\n');
    rest = parts.pop() ?? '';
    for (const part of parts) {
      const line = JSON.parse(part) as Line<Done, Stage>;
      if (line.stage) tell(line.stage);
      if (line.problem) throw new StagesProblem(line.problem.status, line.problem.detail, line.problem.type ?? '');
      if (line.done) return line.done;
    }
  }
  throw new ApiProblem(0, 'The server stopped before the work was done. Nothing was lost; try again.');
}

async function* piecesOf(body: ReadableStream<Uint8Array<ArrayBuffer>>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream()).getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}

/** A refusal, with its kind. */
export class StagesProblem extends ApiProblem {
  constructor(
    status: number,
    detail: string,
    readonly kind: string,
  ) {
    super(status, detail);
  }
}
