import type { BrowserContext, Page } from '@playwright/test';
import { expect } from './test';

/** Opens somebody's desk phone in a window of its own, once it shows what it should. */
export async function deskOf(
  context: BrowserContext,
  url: string,
  name: string,
  shows = 'Nothing rings.',
): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${url}/desk`);
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await expect(page.getByText(shows)).toBeVisible();
  return page;
}
