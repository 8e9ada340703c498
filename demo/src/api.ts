/** Asks a running server's API, as the application does. @throws Error with the server's words. */
export type Ask = <Answer>(method: string, path: string, body?: unknown) => Promise<Answer>;

export function asker(url: string): Ask {
  return async <Answer>(method: string, path: string, body?: unknown): Promise<Answer> => {
    const isForm = body instanceof FormData;
    const response = await fetch(url + path, {
      method,
      body: isForm ? body : body === undefined ? null : JSON.stringify(body),
      headers: isForm || body === undefined ? {} : { 'Content-Type': 'application/json' },
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${await response.text()}`);
    return (await response.json()) as Answer;
  };
}
