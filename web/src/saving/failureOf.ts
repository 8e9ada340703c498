import { ApiProblem, wordsOf } from '../api/client';
import { LeftAsItWas } from './askedFirst';
import type { SaverDoors } from './saver';

/** What kind of failure it was when something could not be saved. */
export function failureOf(error: unknown): ReturnType<SaverDoors<unknown>['failureOf']> {
  if (error instanceof LeftAsItWas) return { type: 'leftAsItWas', says: error.message };
  if (!(error instanceof ApiProblem)) return { type: 'refused', says: wordsOf(error) };
  if (error.status === 0 || error.status >= 500) return { type: 'unreachable', says: error.detail };
  // A conflict without a newer revision is a refusal, such as of a period that still answers somewhere.
  return { type: error.status === 409 && error.revision !== undefined ? 'stale' : 'refused', says: error.detail };
}
