import type { ExecutionContext } from '@nestjs/common';
import { AccessGuard } from './accessGuard';

const guard = new AccessGuard();

function asks(method: string, headers: Record<string, string>): boolean | string {
  const context = { switchToHttp: () => ({ getRequest: () => ({ method, headers }) }) };
  try {
    return guard.canActivate(context as unknown as ExecutionContext);
  } catch (error) {
    return (error as Error).message;
  }
}

const onlyHere = 'Locutor answers on this machine only.';
const onlyOurs = 'Only Locutor’s own pages may change anything here.';

describe('the guard', () => {
  it.each([
    ['GET', { host: '127.0.0.1:4140' }, true],
    ['GET', { host: 'localhost:4140' }, true],
    ['GET', { host: '[::1]:4140' }, true],
    ['GET', { host: 'localhost' }, true],
    ['GET', { host: '127.0.0.1.elsewhere.example' }, onlyHere],
    ['GET', { host: 'elsewhere.example:4140' }, onlyHere],
    ['GET', {}, onlyHere],
    ['GET', { host: 'localhost:4140', origin: 'http://elsewhere.example' }, true],
    ['POST', { host: 'localhost:4140' }, true],
    ['POST', { host: 'localhost:4140', origin: 'http://localhost:4140' }, true],
    ['POST', { host: 'localhost:4140', origin: 'https://localhost:4140' }, onlyOurs],
    ['PUT', { host: 'localhost:4140', origin: 'http://127.0.0.1:4140' }, onlyOurs],
    ['PATCH', { host: 'localhost:4140', origin: 'http://localhost:5173' }, onlyOurs],
    ['DELETE', { host: 'localhost:4140', origin: 'null' }, onlyOurs],
  ])('answers %s with %o by: %s', (method, headers, answer) => {
    expect(asks(method, headers as Record<string, string>)).toBe(answer);
  });
});
