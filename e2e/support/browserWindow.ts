import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { BrowserContext, BrowserType, CDPSession, PlaywrightTestOptions } from '@playwright/test';
import { scratch } from './places';

/**
 * A browser that stays open for one test after the other and keeps the scripts it has compiled, as that of somebody who
 * works with Locutor every day: to compile them anew takes longer than most tests. Whatever a test leaves in it is cleared.
 */
export class BrowserWindow {
  private constructor(
    readonly context: BrowserContext,
    private readonly session: CDPSession,
    private readonly folder: string,
  ) {}

  static async open(chromium: BrowserType, use: Partial<PlaywrightTestOptions> & object): Promise<BrowserWindow> {
    const folder = mkdtempSync(join(scratch, 'browser-'));
    const { launchOptions, contextOptions, ...options } = use as PlaywrightTestOptions & { launchOptions: object };
    const context = await chromium.launchPersistentContext(folder, { ...options, ...contextOptions, ...launchOptions });
    // One page is always open, or the browser would end with the last one of a test.
    const [blank = await context.newPage()] = context.pages();
    await openInWindows(context);
    return new BrowserWindow(context, await context.newCDPSession(blank), folder);
  }

  /** Closes what a test has opened, and forgets what it has kept in the browser. */
  async empty(origin?: string): Promise<void> {
    const [, ...opened] = this.context.pages();
    await Promise.all(opened.map((page) => page.close()));
    await this.context.unrouteAll({ behavior: 'ignoreErrors' });
    await this.context.clearCookies();
    if (origin) await this.session.send('Storage.clearDataForOrigin', { origin, storageTypes });
  }

  async close(): Promise<void> {
    await this.context.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** All but the cache: what the application itself can write. */
const storageTypes = 'cookies,local_storage,indexeddb,websql,service_workers,cache_storage,file_systems';

/**
 * Opens each page in a window of its own, as on somebody's own screen: a page behind another one in the same window is
 * painted once a second, and every click on it waits for that.
 */
async function openInWindows(context: BrowserContext): Promise<void> {
  const session = await context.browser()?.newBrowserCDPSession();
  if (!session) throw new Error('The browser cannot be told to open windows');
  context.newPage = async () => {
    const opened = context.waitForEvent('page');
    await session.send('Target.createTarget', { url: 'about:blank', newWindow: true });
    return opened;
  };
}
