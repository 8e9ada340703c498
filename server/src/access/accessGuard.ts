import type { IncomingMessage } from 'node:http';
import { Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { notAllowed } from '../problems/problem';

const harmless = new Set(['GET', 'HEAD', 'OPTIONS']);
const ownNames = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * The one door every request passes. Until there are accounts it keeps other web sites out: the Host must be this
 * machine (against DNS rebinding), and a request that changes something must come from our own pages. Browsers
 * always send an Origin with those; programs on this machine send none and may pass.
 */
@Injectable()
export class AccessGuard implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    const request = context.switchToHttp().getRequest<Request>();
    if (!isOwnName(request)) throw notAllowed('Locutor answers on this machine only.');
    if (!mayPass(request, !harmless.has(request.method))) {
      throw notAllowed('Only Locutor’s own pages may change anything here.');
    }
    return true;
  }
}

/** Whether a request, or a socket that is to be opened, may pass: the same rule for both. */
export function mayPass(request: IncomingMessage, changes: boolean): boolean {
  const { origin, host = '' } = request.headers;
  return isOwnName(request) && (!changes || origin === undefined || origin === `http://${host}`);
}

function isOwnName({ headers }: IncomingMessage): boolean {
  return ownNames.has(nameOf(headers.host ?? ''));
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '');
}
