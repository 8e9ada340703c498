import { statfs } from 'node:fs/promises';

/** Less than this, and a day of recorded messages and calls may fill the disk. */
const littleBytes = 500e6;

export interface DiskRoom {
  /** What is free for this user on the disk with the folder. */
  readonly freeBytes: number;
  readonly isLow: boolean;
}

export async function diskRoom(folder: string): Promise<DiskRoom> {
  const { bavail, bsize } = await statfs(folder);
  const freeBytes = bavail * bsize;
  return { freeBytes, isLow: freeBytes < littleBytes };
}
