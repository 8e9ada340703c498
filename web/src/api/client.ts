/** None at all, and what stands before a server that is away says (RFC 9110, sections 15.6.3 to 15.6.5). */
const awayStatuses: readonly number[] = [0, 502, 503, 504];

/** A refusal by the server (RFC 9457), or the server not answering at all (status 0). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly detail: string,
    /** With a stale edit: the newer revision. */
    readonly revision?: number,
    /** With a refused deletion: where the thing is used. */
    readonly uses?: readonly string[],
    /** Names the kind of problem (RFC 9457, section 3.1.1). */
    readonly type = 'about:blank',
    /** With a change that was asked about: what callers would meet then. */
    readonly breaks?: readonly Break[],
  ) {
    super(detail);
  }

  /** Whether the server did not answer, rather than answer that it cannot. */
  get isAway(): boolean {
    return awayStatuses.includes(this.status) && this.type === 'about:blank';
  }
}

/** What callers of a line on air would meet, in words. */
export interface Break {
  readonly lineName: string;
  readonly says: string;
  readonly why: string;
}

const unreachable = 'Locutor’s server does not answer.';

interface Asked {
  readonly method?: string;
  readonly body?: unknown;
  /** Whether the server is to tell what callers would notice, in place of doing it (RFC 7240, section 4.4). */
  readonly isStrict?: boolean;
}

/** Asks the API. @throws ApiProblem with words for the manager. */
export async function api<Answer>(path: string, init: Asked = {}): Promise<Answer> {
  const { method = 'GET', body, isStrict = false } = init;
  const isForm = body instanceof FormData;
  const json = isForm || body === undefined ? null : JSON.stringify(body);
  const response = await fetch(path, {
    method,
    body: isForm ? body : json,
    // Goes on even when the page is left meanwhile; browsers allow that for small bodies only.
    keepalive: json !== null && json.length < 30_000,
    headers: {
      ...(json !== null && { 'Content-Type': 'application/json' }),
      ...(isStrict && { Prefer: 'handling=strict' }),
    },
  }).catch(() => {
    throw new ApiProblem(0, unreachable);
  });
  if (!response.ok) throw await problemOf(response);
  return (response.status === 204 ? undefined : await response.json()) as Answer;
}

async function problemOf(response: Response): Promise<ApiProblem> {
  const details = (await response.json().catch(() => ({}))) as Partial<ApiProblem>;
  const plain = `The server could not do that (HTTP ${response.status}).`;
  const says = details.detail ?? (awayStatuses.includes(response.status) ? unreachable : plain);
  return new ApiProblem(response.status, says, details.revision, details.uses, details.type, details.breaks);
}

/** What went wrong, in words, whatever was thrown. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
