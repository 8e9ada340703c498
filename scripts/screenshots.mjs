import { createRequire } from 'node:module';
import { join } from 'node:path';
import { chromium } from './debian.mjs';
import { build, install, root } from './setup.mjs';
import { demoServer } from './testServer.mjs';

/** One current picture of each main view, from the demo business, into docs/screenshots/. */
install();
build();
const playwright = createRequire(join(root, 'e2e', 'package.json'))('@playwright/test');
const { url, stop } = await demoServer();
const browser = await playwright.chromium.launch({
  executablePath: chromium(),
  args: [
    '--no-sandbox',
    '--disable-background-networking',
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
  ],
});

const phoneSize = { width: 390, height: 800 };

async function picture(name, path, { colorScheme = 'light', size = { width: 1280, height: 800 }, before } = {}) {
  const context = await browser.newContext({
    viewport: size,
    colorScheme,
    locale: 'en-US',
    timezoneId: 'America/New_York',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(url + path);
  await page.getByRole('heading', { level: 1 }).waitFor({ state: 'attached' });
  await page.waitForTimeout(400);
  await before?.(page);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
  await context.close();
}

async function closeHandset(page) {
  await page.getByRole('button', { name: 'Close the handset' }).click();
}

async function call(page) {
  const moment = page.getByRole('group', { name: 'Or any moment, by the line’s clock' });
  await moment.getByLabel(/: date$/).fill('2026-11-23');
  await moment.getByLabel(/: time$/).fill('10:00');
  await moment.getByLabel(/: time$/).blur();
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await page.waitForTimeout(5500);
}

await picture('traffic', '/traffic?span=last12Months', { before: closeHandset });
await picture('switch-phone', '/today', {
  size: phoneSize,
  before: async (page) => {
    await page.getByRole('button', { name: 'Close now' }).click();
    await page.getByLabel('What callers hear first, if anything').fill('Closed early because of the storm.');
    await page.getByRole('form', { name: 'The switch' }).scrollIntoViewIfNeeded();
  },
});
await picture('script', '/script', { before: call });
await picture('hours', '/hours', { before: closeHandset });
await picture('year', '/hours/year', { before: closeHandset });
await picture('greetings', '/greetings', { before: closeHandset });
await picture('what-if', await planAddress(), {
  before: async (page) => {
    await closeHandset(page);
    await page.getByRole('button', { name: 'Try it' }).click();
    await page.getByText('tried 50 times').waitFor({ timeout: 120_000 });
  },
});
await picture('time-map', '/time-map', {
  before: async (page) => {
    await closeHandset(page);
    await page.waitForTimeout(1500);
  },
});
await picture('directory-people', '/directory/people', {
  before: async (page) => {
    await page.getByRole('button', { name: 'More about Cormac Adeyemi' }).click();
  },
});
await picture('weeks-ahead', '/hours', {
  before: async (page) => {
    await closeHandset(page);
    await page.getByRole('button', { name: 'Other hours from a date on' }).click();
    await page.getByText('begins on').waitFor();
    const saturday = page.getByLabel('Open on Saturday');
    await saturday.fill('9-1');
    await saturday.press('Enter');
    await page.waitForTimeout(1500);
  },
});
await picture('rota', '/directory/groups', {
  before: async (page) => {
    await closeHandset(page);
    await page.getByRole('link', { name: /^On call/ }).click();
    const swap = page.getByRole('button', { name: /^Swap from/ }).nth(1);
    await swap.click();
    await page.getByLabel('Who is on call instead').selectOption({ index: 1 });
    await page.getByText('Whose turn it is').scrollIntoViewIfNeeded();
    await page.waitForTimeout(400);
  },
});
await picture('recording-session', '/greetings/sessions', {
  before: async (page) => {
    await closeHandset(page);
    await page.getByRole('checkbox', { name: 'All of After hours' }).check();
    await page.getByRole('button', { name: /^Record \d+ texts/ }).click();
    await page.getByRole('button', { name: 'Begin here' }).click();
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await page.waitForTimeout(5500);
  },
});
await pictureOther();
await pictureChange();
await pictureLiveLine();
await browser.close();
await stop();

/** A recording that says something else than it should, where recordings can be listened to. */
async function pictureOther() {
  if (!(await (await fetch(`${url}/api/listening`)).json()).isThere) return;
  const texts = [
    'We are at the foot of Cannery Road, on the west side of Larkspur Cove.',
    'From the water, keep the green bell to starboard and look for the blue crane.',
  ];
  const sound = await spoken(texts.join(' '));
  await picture('recording-other', '/greetings', {
    before: async (page) => {
      await closeHandset(page);
      await page.getByRole('link', { name: /^Where we are/ }).click();
      const panel = page.getByRole('region', { name: /^Recording of/ });
      await panel
        .locator('input[type=file]')
        .setInputFiles({ name: 'where.wav', mimeType: 'audio/wav', buffer: sound });
      await page.getByText('Listening can be wrong').waitFor({ timeout: 60_000 });
      await page.waitForTimeout(800);
    },
  });
}

async function spoken(text) {
  const headers = { 'Content-Type': 'application/json' };
  const body = JSON.stringify({ voice: 'rms', texts: [text] });
  const [{ audioId }] = await (await fetch(`${url}/api/speech`, { method: 'POST', headers, body })).json();
  return Buffer.from(await (await fetch(`${url}/api/audio/${audioId}`)).arrayBuffer());
}

/** One more member in the spring rush, on Saturdays. */
async function planAddress() {
  const [queue] = await (await fetch(`${url}/api/queues`)).json();
  const year = new Date().getMonth() >= 5 ? new Date().getFullYear() : new Date().getFullYear() - 1;
  const plan = JSON.stringify([{ type: 'moreMembers', of: queue.id, who: null, on: [6] }]);
  return `/traffic/what-if?from=${year}-04-01&to=${year}-05-31&plan=${encodeURIComponent(plan)}`;
}

/** A change that is not right yet: notes in the margin, the proof, a rehearsal that no longer holds, going on air. */
async function pictureChange() {
  await picture('script-notes', '/script', {
    before: async (page) => {
      await closeHandset(page);
      await page
        .getByRole('textbox', { name: 'Opening words' })
        .fill('Thank you for calling Larkspur Cove Boatyard. We are open Monday to Friday, 8 to 6.');
      await page.getByLabel('What key 3 is for').fill('sails and rigging');
      await page.getByRole('button', { name: 'Remove key 1', exact: true }).click();
      await page.getByRole('banner').getByRole('status').filter({ hasText: 'Saved' }).waitFor();
      // Until the notice is gone that says what was removed.
      await page.waitForTimeout(9000);
    },
  });
  for (const [name, path] of [
    ['proof', '/proof'],
    ['rehearsals', '/rehearsals'],
    ['on-air', '/on-air'],
  ]) {
    await picture(name, path, {
      before: async (page) => {
        await closeHandset(page);
        await page.waitForTimeout(1500);
      },
    });
  }
}

/** The line in the middle of a Monday morning: three callers, two of them waiting. */
async function pictureLiveLine() {
  const body = JSON.stringify({ reading: '2026-11-23T10:00' });
  await fetch(`${url}/api/live/clock`, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body });
  const people = await (await fetch(`${url}/api/people`)).json();
  const [queue] = await (await fetch(`${url}/api/queues`)).json();
  const priya = people.find(({ name }) => name.startsWith('Priya')).id;
  await fetch(`${url}/api/queues/${queue.id}`, {
    method: 'PATCH',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ revision: queue.revision, members: [{ personId: priya, tier: 1 }] }),
  });
  const phone = { viewport: { width: 390, height: 800 }, locale: 'en-US', timezoneId: 'America/New_York' };
  const context = await browser.newContext(phone);
  const callers = [];
  for (const number of ['+1 207 555 0152', '+1 207 555 0117', '+1 207 555 0131']) {
    const page = await context.newPage();
    await page.goto(`${url}/handset`);
    await page.getByLabel('Calling from').fill(number);
    await page.getByRole('button', { name: 'Call', exact: true }).click();
    callers.push(page);
    if (number.endsWith('31')) continue;
    for (const [key, words] of [
      ['2', 'Repairs and haul-out.'],
      ['1', 'Launching runs'],
      ['1', 'Everybody wants'],
    ]) {
      await page.waitForTimeout(1200);
      await page.getByRole('button', { name: `Press ${key}`, exact: true }).click();
      await page.getByText(words).first().waitFor();
    }
  }
  const desk = await context.newPage();
  await desk.goto(`${url}/desk/${priya}`);
  await desk.getByRole('button', { name: 'Answer' }).waitFor();
  const shot = (page, name) => page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
  await shot(desk, 'desk-phone');
  await desk.getByRole('button', { name: 'Answer' }).click();
  await callers[0].waitForTimeout(1500);
  await picture('today', '/today', {
    before: async (page) => {
      await page.getByRole('button', { name: 'Desk phones' }).click();
      await page.getByLabel('Whose desk phone').selectOption(priya);
      await page.waitForTimeout(1500);
    },
  });
  await desk.getByRole('button', { name: 'Hang up' }).click();
  await context.close();
}
