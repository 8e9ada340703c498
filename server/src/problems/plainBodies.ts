import type { NextFunction, Request, Response } from 'express';
import { malformed } from './problem';

/** Far deeper than anything that is sent, and far from what the stack takes of code that follows it down. */
const mostDeep = 100;
/** A key that stands for where an object comes from (ECMA-262, B.2.2.1), not for something in it. */
const noKey = '__proto__';

/** Passes on bodies that can be followed down, whatever is read of them; refuses others before anything reads them. */
export function plainBodies(request: Request, _response: Response, next: NextFunction): void {
  next(
    isPlain(request.body)
      ? undefined
      : malformed('What was sent is nested too deeply, or is no plain data. Nothing was changed.'),
  );
}

function isPlain(body: unknown): boolean {
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > mostDeep) return false;
    const below: unknown[] = [];
    for (const each of level) {
      if (typeof each !== 'object' || each === null) continue;
      if (Object.hasOwn(each, noKey)) return false;
      for (const value of Object.values(each)) if (typeof value === 'object') below.push(value);
    }
    level = below;
  }
  return true;
}
