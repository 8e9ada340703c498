import { constants, setPriority } from 'node:os';

/**
 * Asked by a worker's thread as it begins: where there are not cores enough, the thread that carries the calls goes first.
 * On Linux a priority is a thread's own; elsewhere it would be the whole server's.
 */
export function giveWay(): void {
  if (process.platform === 'linux') setPriority(0, constants.priority.PRIORITY_BELOW_NORMAL);
}
