/** A refusal by the server (RFC 9457), or the server not answering at all (status 0). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly detail: string,
    /** With a stale edit: the newer revision. */
    readonly revision?: number,
    /** With a refused deletion: where the thing is used. */
    readonly uses?: readonly string[],
  ) {
    super(detail);
  }
}

const unreachable = 'Locutor’s server does not answer. What you see is kept here; it will be tried again.';

/** Asks the API. @throws ApiProblem with words for the manager. */
export async function api<Answer>(path: string, init: { method?: string; body?: unknown } = {}): Promise<Answer> {
  const { method = 'GET', body } = init;
  const isForm = body instanceof FormData;
  const json = isForm || body === undefined ? null : JSON.stringify(body);
  const response = await fetch(path, {
    method,
    body: isForm ? body : json,
    // Goes on even when the page is left meanwhile; browsers allow that for small bodies only.
    keepalive: json !== null && json.length < 30_000,
    headers: isForm || body === undefined ? {} : { 'Content-Type': 'application/json' },
  }).catch(() => {
    throw new ApiProblem(0, unreachable);
  });
  if (!response.ok) throw await problemOf(response);
  return (response.status === 204 ? undefined : await response.json()) as Answer;
}

async function problemOf(response: Response): Promise<ApiProblem> {
  const details = (await response.json().catch(() => ({}))) as Partial<ApiProblem>;
  return new ApiProblem(response.status, details.detail ?? unreachable, details.revision, details.uses);
}

/** What went wrong, in words, whatever was thrown. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
