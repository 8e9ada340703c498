import { randomText } from '../parts/newId';

/** Which windows of this browser have Locutor open. */
export interface Windows {
  /** The id of this one, from when it was loaded. */
  readonly own: string;
  /** Whether one left something behind that was closed by the time this one was loaded. */
  isClosed(id: string): boolean;
}

const begins = 'locutor.window.';
const own = randomText();
let closed: ReadonlySet<string> = new Set();

export const windows: Windows = { own, isClosed: (id) => closed.has(id) };

/**
 * Tells other windows that this one is open, by a lock that it holds until it is left (W3C Web Locks), and finds which of
 * those that left something behind are closed. Where the browser has no locks all of them count as closed: what they keep is
 * taken up here too, and merged as it is saved.
 */
export async function meetWindows(
  leftBehind: readonly string[],
  locks: LockManager | undefined = navigator.locks,
): Promise<void> {
  if (!locks) {
    closed = new Set(leftBehind);
    return;
  }
  const isLeft = new Promise<void>((leave) => addEventListener('pagehide', () => leave(), { once: true }));
  void locks.request(`${begins}${own}`, () => isLeft);
  const { held = [] } = await locks.query();
  closed = new Set(leftBehind.filter((id) => !held.some(({ name }) => name === `${begins}${id}`)));
}
