import { HttpException } from '@nestjs/common';
import type { StorageTrouble } from '../storage/storageTrouble';

/** One thing wrong in what was sent. */
export interface ProblemAt {
  /** The field, such as `name` or `week`. */
  readonly at: string;
  readonly says: string;
}

/** Problem details as in RFC 9457, with members of our own after `detail`. */
export interface ProblemDetails {
  /** Names the kind of problem; a path of this API's, not to be fetched. */
  readonly type: string;
  readonly title: string;
  readonly status: number;
  /** What was wrong and what to do, in the manager's words. */
  readonly detail: string;
  readonly errors?: readonly ProblemAt[];
  /** With a stale edit: the revision that is newer. */
  readonly revision?: number;
  /** With a refused deletion: where the thing is used, in words. */
  readonly uses?: readonly string[];
  /** With a change that was asked about: what callers would meet then. */
  readonly breaks?: readonly Break[];
}

/** What callers of a line on air would meet, in words. */
export interface Break {
  readonly lineName: string;
  readonly says: string;
  readonly why: string;
}

/** A refusal that is answered as problem details. */
export class Problem extends HttpException {
  constructor(readonly details: ProblemDetails) {
    super(details.detail, details.status);
  }
}

type More = Partial<Pick<ProblemDetails, 'errors' | 'revision' | 'uses' | 'breaks'>>;

function problem(type: string, title: string, status: number, detail: string, more: More = {}): Problem {
  return new Problem({ type: `/problems/${type}`, title, status, detail, ...more });
}

export const notFound = (what: string): Problem =>
  problem('not-found', 'Not there', 404, `${what} is not there any more. Perhaps it was deleted in another window.`);

/** A row is there, and its file is not. */
export const notOnDisk = (what: string, path: string): Problem =>
  problem(
    'not-on-disk',
    'Not there',
    404,
    `${what} is missing on the disk: ${path}. Put it back from a copy of the data folder.`,
  );

export const stale = (what: string, revision: number): Problem =>
  problem(
    'stale',
    'Changed meanwhile',
    409,
    `${what} was changed in another window since you opened it. Your change was not saved; nothing was overwritten.`,
    { revision },
  );

export const inUse = (what: string, uses: readonly string[]): Problem =>
  problem('in-use', 'Still in use', 409, `${what} is still used: ${uses.join('; ')}. Change that first.`, { uses });

/** What would happen to callers is told before it is done; the same request without `Prefer: handling=strict` does it. */
export const breaksOnAir = (breaks: readonly Break[]): Problem =>
  problem(
    'breaks-on-air',
    'Callers would notice',
    409,
    `Nothing was changed yet. Callers would notice: ${breaks.map(({ says }) => says).join(' ')}`,
    { breaks },
  );

export const malformed = (detail: string): Problem => problem('malformed', 'Not understood', 400, detail);

export const conflict = (detail: string): Problem => problem('conflict', 'Not possible now', 409, detail);

export const invalid = (errors: readonly ProblemAt[]): Problem =>
  problem('invalid', 'Not understood', 422, errors.map((error) => error.says).join(' '), { errors });

/** Two of a kind may not have the same name, or nobody could tell them apart where they are chosen. */
export const nameTaken = (what: string, name: string): Problem =>
  invalid([{ at: 'name', says: `There is a ${what} called “${name}” already. Give this one another name.` }]);

export const notAllowed = (detail: string): Problem => problem('not-allowed', 'Not allowed', 403, detail);

/** The disk or the database does not let what is kept be read or written (RFC 9110, sections 15.6.4 and, for a full disk, RFC 4918, 11.5). */
export const storageProblem = (trouble: StorageTrouble, detail: string): Problem =>
  problem('storage', 'Cannot be kept now', trouble === 'full' ? 507 : 503, `${detail} Nothing was changed.`);

/** What was asked when the server stopped (RFC 9110, section 15.6.4). */
export const stopping = problem(
  'stopping',
  'Not now',
  503,
  'The server stops. Nothing was changed; try again in a moment.',
);

/** What was sent is not in a form that is read here (RFC 9110, section 15.5.16). */
export const wrongForm = problem(
  'wrong-form',
  'Not understood',
  415,
  'Send JSON, as application/json. Nothing was changed.',
);

/** Something stored that cannot be read, such as what a later release wrote; the rest goes on without it. */
export const unreadable = (detail: string, revision?: number): Problem =>
  problem('unreadable', 'Cannot be read', 500, detail, revision === undefined ? {} : { revision });
