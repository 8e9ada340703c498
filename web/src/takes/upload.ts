import type { PolishStage, Recipe } from '@locutor/core/audio';
import type { PersonId } from '@locutor/core/directory';
import type { TakeSays } from '@locutor/core/line';
import { ApiProblem } from '../api/client';
import { takesPath, type KeptTake } from './useTakes';

/** What is brought: a file or a recording, what it is of, and what it says. */
export interface Bringing {
  readonly file: Blob;
  readonly fileName: string;
  readonly source: 'microphone' | 'file';
  readonly place: string;
  readonly text: string;
  readonly says: TakeSays;
  /** Which law bare telephone sound is in, once that was answered. */
  readonly law?: 'mu' | 'a';
}

export interface Work<Done> {
  readonly done: Promise<Done>;
  readonly cancel: () => void;
}

/** The server wants to know in which law bare telephone sound is. */
export const asksLaw = 'sound-whichLaw';

/** Sends a file or recording to be taken in; stages of the work are told as they come. */
export function bringTake(bringing: Bringing, tell: (stage: PolishStage | 'sending') => void): Work<KeptTake> {
  const form = new FormData();
  const { file, fileName, source, place, text, says, law } = bringing;
  const fields = { source, place, text, says: JSON.stringify(says), fileName: source === 'file' ? fileName : '' };
  for (const [name, value] of Object.entries({ ...fields, ...(law && { law }) })) form.append(name, value);
  form.append('audio', file, fileName);
  tell('sending');
  return ask(takesPath, form, tell);
}

/** How far a recording with a desk phone is. */
export type PhoneStage = 'ringing' | 'instructing' | 'recording' | 'finishing' | 'asking';

/** Rings somebody's desk phone, on which it is spoken and kept. */
export function takeByPhone(
  of: Pick<Bringing, 'place' | 'text' | 'says'> & { readonly personId: PersonId; readonly name: string },
  tell: (stage: PhoneStage) => void,
): Work<KeptTake> {
  return ask('/api/phone-takes', JSON.stringify({ ...of, says: JSON.stringify(of.says) }), tell);
}

/** Makes a take good by another recipe. */
export function polishTake(id: string, recipe: Recipe, tell: (stage: PolishStage) => void): Work<KeptTake> {
  return ask(`${takesPath}/${id}/polish`, JSON.stringify({ recipe: JSON.stringify(recipe) }), tell);
}

function ask<Done, Stage>(path: string, body: FormData | string, tell: (stage: Stage) => void): Work<Done> {
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
      if (line.problem) throw new TakeProblem(line.problem.status, line.problem.detail, line.problem.type ?? '');
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
export class TakeProblem extends ApiProblem {
  constructor(
    status: number,
    detail: string,
    readonly kind: string,
  ) {
    super(status, detail);
  }

  get asksLaw(): boolean {
    return this.kind.endsWith(asksLaw);
  }
}
