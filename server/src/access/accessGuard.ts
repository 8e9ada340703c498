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
    const host = request.headers.host ?? '';
    if (!ownNames.has(nameOf(host))) throw notAllowed('Locutor answers on this machine only.');
    if (!harmless.has(request.method) && !isOurs(request.headers.origin, host)) {
      throw notAllowed('Only Locutor’s own pages may change anything here.');
    }
    return true;
  }
}

function isOurs(origin: string | undefined, host: string): boolean {
  return origin === undefined || origin === `http://${host}`;
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '');
}
