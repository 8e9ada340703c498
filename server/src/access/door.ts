import type { IncomingMessage } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import { notAllowed, wrongForm } from '../problems/problem';

const harmless = new Set(['GET', 'HEAD', 'OPTIONS']);
const ownNames = new Set(['127.0.0.1', 'localhost', '[::1]']);
const ownSites: readonly unknown[] = [undefined, 'same-origin', 'none'];
const forms = ['application/json', 'multipart/form-data'];

/**
 * The one door every request passes, whatever it is for. Until there are accounts it keeps other web sites out: the Host must
 * be this machine (against DNS rebinding), and what is not asked from our own pages may only open one of the screens. Browsers
 * say where a request comes from (W3C Fetch Metadata, section 2; Origin with whatever changes something, Fetch, section 3.2);
 * programs on this machine say nothing and may pass.
 */
export function door(request: Request, _response: Response, next: NextFunction): void {
  next(refusalOf(request));
}

function refusalOf(request: Request): unknown {
  if (!isOwnName(request)) return notAllowed('Locutor answers on this machine only.');
  if (harmless.has(request.method)) {
    return isFromOwnSite(request) || opensScreen(request)
      ? undefined
      : notAllowed('Only Locutor’s own pages may read this.');
  }
  if (!mayPass(request)) return notAllowed('Only Locutor’s own pages may change anything here.');
  // A form of another site can be sent without asking; JSON cannot (Fetch, section 4.9).
  return hasBody(request) && request.is(forms) === false ? wrongForm : undefined;
}

/** Whether what changes something, or is a socket to be opened, comes from our own pages or from a program. */
export function mayPass(request: IncomingMessage): boolean {
  const { origin, host = '' } = request.headers;
  return isOwnName(request) && isFromOwnSite(request) && (origin === undefined || origin === `http://${host}`);
}

function hasBody({ headers }: IncomingMessage): boolean {
  return headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
}

function opensScreen({ headers, path }: Request): boolean {
  const isPage = headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document';
  return isPage && !path.startsWith('/api/');
}

function isFromOwnSite({ headers }: IncomingMessage): boolean {
  return ownSites.includes(headers['sec-fetch-site']);
}

function isOwnName({ headers }: IncomingMessage): boolean {
  return ownNames.has((headers.host ?? '').replace(/:\d+$/, ''));
}
