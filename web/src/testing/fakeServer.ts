/** What was asked of the server. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
  /** Whether the server is to ask before callers notice something (`Prefer: handling=strict`). */
  readonly isStrict: boolean;
}

/** What a spec lets the server answer: a status, and a body as JSON. */
export interface Answered {
  readonly status?: number;
  readonly body?: unknown;
}

type Answer = Answered | ((asked: Asked) => Answered | Promise<Answered>);

/**
 * The server as a spec wants it, in place of the browser's `fetch`. It remembers what it was asked, and answers 404 to
 * what the spec has said nothing about.
 */
export class FakeServer {
  readonly asked: Asked[] = [];
  private readonly answers = new Map<string, Answer>();
  private isGone = false;

  constructor() {
    Object.assign(globalThis, { fetch: (path: string, init?: RequestInit) => this.fetch(path, init) });
  }

  /** Says what it answers to a method and a path. */
  on(method: string, path: string, answer: Answer): this {
    this.answers.set(`${method} ${path}`, answer);
    return this;
  }

  /** Whether it does not answer at all, as when it was stopped. */
  goes(isGone: boolean): void {
    this.isGone = isGone;
  }

  /** What was asked with a method other than GET. */
  get changes(): readonly Asked[] {
    return this.asked.filter(({ method }) => method !== 'GET');
  }

  private async fetch(path: string, { method = 'GET', body, headers }: RequestInit = {}): Promise<Partial<Response>> {
    const asked = {
      method,
      path,
      body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body,
      isStrict: new Headers(headers).get('Prefer') === 'handling=strict',
    };
    this.asked.push(asked);
    if (this.isGone) throw new TypeError('Failed to fetch');
    const answer = this.answers.get(`${method} ${path}`) ?? { status: 404, body: { detail: 'Not there.' } };
    const { status = 200, body: sent } = typeof answer === 'function' ? await answer(asked) : answer;
    return { ok: status < 400, status, json: () => Promise.resolve(sent) };
  }
}
