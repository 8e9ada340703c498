/** What keeps a folder's files from being read or written. */
export type StorageTrouble = 'full' | 'readOnly' | 'noFolder' | 'locked' | 'damaged' | 'failing';

/** The codes of SQLite (its result codes) and of the system (POSIX errno), and what each comes down to. */
const troubles: Readonly<Record<string, StorageTrouble>> = {
  SQLITE_FULL: 'full',
  ENOSPC: 'full',
  EDQUOT: 'full',
  SQLITE_READONLY: 'readOnly',
  SQLITE_CANTOPEN: 'readOnly',
  SQLITE_PERM: 'readOnly',
  EACCES: 'readOnly',
  EPERM: 'readOnly',
  EROFS: 'readOnly',
  ENOTDIR: 'noFolder',
  EEXIST: 'noFolder',
  ELOOP: 'noFolder',
  SQLITE_BUSY: 'locked',
  SQLITE_LOCKED: 'locked',
  SQLITE_CORRUPT: 'damaged',
  SQLITE_NOTADB: 'damaged',
  SQLITE_IOERR: 'failing',
  EIO: 'failing',
};

/** The trouble behind an error of the database or of the file system; null where it is another error. */
export function storageTroubleOf(error: unknown): StorageTrouble | null {
  const { code, driverError } = (error ?? {}) as { readonly code?: unknown; readonly driverError?: unknown };
  if (driverError && driverError !== error) return storageTroubleOf(driverError);
  if (typeof code !== 'string') return null;
  // Of extended codes, such as SQLITE_BUSY_SNAPSHOT, the first two words say what they come down to.
  return troubles[code] ?? troubles[code.split('_').slice(0, 2).join('_')] ?? null;
}

/** What is wrong, where, and what to do. */
export function describeStorageTrouble(trouble: StorageTrouble, folder: string): string {
  switch (trouble) {
    case 'full':
      return `The disk that holds ${folder} is full: make room on it, then try again.`;
    case 'readOnly':
      return `Locutor may not write to ${folder}: give the user that runs it the right to, then try again.`;
    case 'noFolder':
      return `${folder} is not a folder: choose another one with LOCUTOR_DATA.`;
    case 'locked':
      return `The database in ${folder} is locked by another program, such as one that copies or looks into databases: close that, then try again.`;
    case 'damaged':
      return `The database in ${folder} is damaged: stop Locutor, put a copy of that folder in its place, and start Locutor again.`;
    case 'failing':
      return `The disk that holds ${folder} could not be read or written: check it, then start Locutor again.`;
  }
}

/** A server that cannot start, in one sentence: what is wrong, where, and what to do. */
export class CannotStart extends Error {}

/** Does what a server does to its folder as it starts. @throws CannotStart where the folder or its database does not let it. */
export async function withStorage<Done>(folder: string, work: () => Done | Promise<Done>): Promise<Done> {
  try {
    return await work();
  } catch (error) {
    const trouble = storageTroubleOf(error);
    throw trouble ? new CannotStart(describeStorageTrouble(trouble, folder), { cause: error }) : error;
  }
}
