import { keepSame } from '@locutor/core/merging';
import type { ProofSubject } from '@locutor/core/proof';

/** What was read last of each line. */
const lastRead = new Map<string, ProofSubject>();
const mostLastRead = 6;

/**
 * What is read of a line, with all that is as it was when it was read last being the very same thing, by which rules
 * remember what they reckoned. How often a row was changed is nothing to them.
 */
export function asBefore(subject: ProofSubject): ProofSubject {
  const key = subject.line.id;
  const kept = keepSame(lastRead.get(key), bare(subject));
  lastRead.delete(key);
  lastRead.set(key, kept);
  const [oldest] = lastRead.keys();
  if (oldest !== undefined && lastRead.size > mostLastRead) lastRead.delete(oldest);
  return kept;
}

/** The same with a change put in, of which as much as can be is what it was. */
export function withChange(now: ProofSubject, change: Partial<ProofSubject>): ProofSubject {
  return keepSame(now, bare({ ...now, ...change }));
}

const lists = ['people', 'groups', 'queues', 'boxes', 'contacts', 'callerLists', 'allHours'] as const;

function bare(subject: ProofSubject): ProofSubject {
  const rows = Object.fromEntries(lists.map((list) => [list, subject[list].map(withoutRevision)]));
  return {
    ...subject,
    ...rows,
    line: withoutRevision(subject.line),
    hours: withoutRevision(subject.hours),
  };
}

function withoutRevision<Row extends object>(row: Row): Row {
  return Object.fromEntries(Object.entries(row).filter(([field]) => field !== 'revision')) as Row;
}
