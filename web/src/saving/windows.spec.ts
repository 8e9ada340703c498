/** @jest-environment jsdom */
import { meetWindows, windows } from './windows';

/** Locks of one browser, as far as windows use them. */
class FakeLocks {
  readonly names: string[] = ['locutor.window.there', 'of something else'];

  query = () => Promise.resolve({ held: this.names.map((name) => ({ name })) });
  request = async (name: string, hold: () => Promise<void>): Promise<void> => {
    this.names.push(name);
    await hold();
    this.names.splice(this.names.indexOf(name), 1);
  };
}

describe('the windows of a browser', () => {
  it('know which were closed that left something, and are known until they are left', async () => {
    const locks = new FakeLocks();
    await meetWindows(['there', 'closed'], locks as unknown as LockManager);
    expect(['there', 'closed', 'opened later', windows.own].filter(windows.isClosed)).toEqual(['closed']);
    expect(locks.names).toContain(`locutor.window.${windows.own}`);
    window.dispatchEvent(new Event('pagehide'));
    await Promise.resolve();
    await Promise.resolve();
    expect(locks.names).not.toContain(`locutor.window.${windows.own}`);
  });

  it('are all closed as far as is known where the browser has no locks', async () => {
    await meetWindows(['there'], undefined);
    expect(['there', 'opened later'].filter(windows.isClosed)).toEqual(['there']);
  });
});
