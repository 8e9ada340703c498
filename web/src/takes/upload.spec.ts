import type { PolishStage } from '@locutor/core/audio';
import { StagesProblem } from '../api/stages';
import { asksLaw, bringTake, polishTake, type Bringing } from './upload';

const bringing: Bringing = {
  file: new Blob(['sound']),
  fileName: 'Regatta.wav',
  source: 'file',
  place: 'greeting:regatta',
  text: 'Regatta today.',
  says: { words: 'Regatta today.', options: [], live: [] },
};
const recipe = { cuts: [], pauses: [], lessNoise: true, trim: true, sameLoudness: true, fades: true };

interface Asked {
  readonly path: string;
  readonly init: RequestInit;
}
let asked: Asked[] = [];

/** The server answers with pieces, cut wherever. */
function answers(pieces: readonly string[], status = 201): void {
  globalThis.fetch = (path, init = {}) => {
    asked.push({ path: String(path), init });
    const body = new ReadableStream({
      start: (controller) => {
        for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece));
        controller.close();
      },
    });
    return Promise.resolve(new Response(body, { status }));
  };
}

beforeEach(() => (asked = []));

describe('bringing a recording', () => {
  it('tells the stages as they come and gives the recording, however the answer is cut', async () => {
    answers(['{"stage":"resampl', 'ing"}\n{"stage":"loudness"}\n{"do', 'ne":{"id":"take:one","text":"Größe"}}\n']);
    const stages: (PolishStage | 'sending')[] = [];
    const take = await bringTake(bringing, (stage) => stages.push(stage)).done;
    expect(take).toMatchObject({ id: 'take:one', text: 'Größe' });
    expect(stages).toEqual(['sending', 'resampling', 'loudness']);
    const form = asked[0]?.init.body as FormData;
    expect(form.get('place')).toBe('greeting:regatta');
    expect(JSON.parse(String(form.get('says')))).toEqual(bringing.says);
    expect(form.has('law')).toBe(false);
  });

  it('gives the refusal in the server’s words, and knows when a law is asked for', async () => {
    const problem = { status: 422, detail: 'Which law?', type: '/problems/sound-whichLaw' };
    answers([`${JSON.stringify({ problem })}\n`]);
    const error: unknown = await bringTake(bringing, () => undefined).done.catch((thrown: unknown) => thrown);
    expect(error).toBeInstanceOf(StagesProblem);
    expect(error).toMatchObject({ message: 'Which law?' });
    expect(asksLaw(error)).toBe(true);
    answers(['{"detail":"The name of the file is too long."}'], 422);
    await expect(bringTake(bringing, () => undefined).done).rejects.toThrow('The name of the file is too long.');
  });

  it('says so when the server stops in the middle or does not answer', async () => {
    answers(['{"stage":"resampling"}\n']);
    await expect(bringTake(bringing, () => undefined).done).rejects.toThrow('stopped before the work was done');
    globalThis.fetch = () => Promise.reject(new TypeError('no network'));
    await expect(bringTake(bringing, () => undefined).done).rejects.toThrow('does not answer');
  });

  it('is given up when it is cancelled', async () => {
    globalThis.fetch = (_path, init) =>
      new Promise((_resolve, reject) => {
        init?.signal?.addEventListener('abort', () => reject(new DOMException('gone', 'AbortError')));
      });
    const work = bringTake(bringing, () => undefined);
    work.cancel();
    await expect(work.done).rejects.toMatchObject({ name: 'AbortError' });
  });

  it('sends a recipe as the server wants it', async () => {
    answers(['{"done":{"id":"take:one"}}\n'], 200);
    await polishTake('take:one', recipe, () => undefined).done;
    expect(asked[0]?.path).toBe('/api/takes/take:one/polish');
    const { recipe: sent } = JSON.parse(String(asked[0]?.init.body)) as { recipe: string };
    expect(JSON.parse(sent)).toEqual(recipe);
  });
});
