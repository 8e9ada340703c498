import { callAt, expect, heard, saved, startLine, test } from '../support/test';

test.describe('a new user, from nothing', () => {
  test.use({ data: 'empty' });

  test('writes a menu of two levels with seven keys, fallbacks and a named path', async ({ page, server }) => {
    await startLine(page, server);
    // The welcome has keys 1, 2 and 0 already. A second level with a path that is written once.
    await page.getByRole('button', { name: 'Menu', exact: true }).click();
    await expect(page.getByLabel('Name of the menu')).toHaveValue('New menu');
    await page.getByLabel('Name of the menu').fill('Repairs');
    await page.getByRole('textbox', { name: 'Opening words' }).fill('Repairs.');
    await page.getByRole('button', { name: 'Add a step to silence' }).click();
    await page.getByLabel('Who is rung by silence, step 1').selectOption('Noor Haldane');
    await page.getByRole('button', { name: 'Add a step to silence' }).click();
    await page.getByRole('button', { name: 'More for silence, step 1' }).click();
    await page.getByRole('menuitem', { name: 'Give this path a name, to use it elsewhere' }).click();
    await page.getByLabel('Name of the path').fill('Workshop');
    await expect(page.getByText('Followed in Repairs: silence.')).toBeVisible();
    await page.getByRole('link', { name: 'Menu Repairs' }).click();
    await page.getByRole('button', { name: 'Add a step to wrong keys' }).click();
    await page.getByLabel('What wrong keys, step 1 does').selectOption('followPath');
    await page.getByLabel('Path of wrong keys, step 1', { exact: true }).selectOption('Workshop');
    for (const [key, label] of [
      ['1', 'engines'],
      ['2', 'rigging'],
      ['3', 'hulls'],
    ] as const) {
      await page.getByRole('button', { name: `Add key ${key}` }).click();
      await page.keyboard.type(label);
      await page.getByRole('button', { name: `Add a step to key ${key}` }).click();
      await page.getByLabel(`What key ${key}, step 1 does`).selectOption('followPath');
      await page.getByLabel(`Path of key ${key}, step 1`, { exact: true }).selectOption('Workshop');
    }
    await page.getByRole('link', { name: 'Menu Welcome', exact: true }).click();
    await page.getByRole('button', { name: 'Add key 3' }).click();
    await page.keyboard.type('repairs');
    await page.getByRole('button', { name: 'Add a step to key 3' }).click();
    await page.getByLabel('What key 3, step 1 does').selectOption('goTo');
    await page.getByLabel('Sheet of key 3, step 1', { exact: true }).selectOption('Repairs');
    await expect(page.getByRole('banner')).toContainText(/Proof (clean|\d+ tip)/);
    await saved(page);
    await callAt(page, '2026-11-23T10:00');
    await page.keyboard.press('3');
    await expect(heard(page)).toContainText('For rigging, press 2.');
    await page.keyboard.press('2');
    await expect(page.getByText('Noor Haldane is ringing')).toBeVisible();
  });
});

test('a key that is added takes the cursor with the click, so that what is typed next is no shortcut', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script/sheet:repairs`);
  const add = page.getByRole('button', { name: /^Add key \S$/ });
  await expect(add).toBeVisible();
  const key = ((await add.textContent()) ?? '').trim().slice(-1);
  const isThere = await add.evaluate((button: HTMLElement) => {
    button.click();
    return document.activeElement?.id ?? '';
  });
  expect(isThere).toBe(`sheet:repairs-key-${key}`);
  await page.keyboard.type('hulls');
  await expect(page.getByRole('complementary', { name: 'Handset' })).toBeVisible();
  await expect(page.locator(`[id="sheet:repairs-key-${key}"]`)).toHaveValue('hulls');
});

test('steps are reordered, duplicated, cut and pasted by key, and every undo says what it takes back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/script/sheet:repairs`);
  const who = (step: number) => page.getByLabel(`Who is rung by key 2, step ${step}`);
  const name = async (step: number) => who(step).locator('option:checked').textContent();
  await expect(who(1)).toBeVisible();
  expect(await name(1)).toBe('Mateo O’Dowd');
  await page.getByRole('button', { name: 'More for key 2, step 1' }).focus();
  await page.keyboard.press('Alt+ArrowDown');
  expect(await name(1)).toBe('Cormac Adeyemi');
  await expect(
    page.getByRole('button', { name: 'Undo: reorder the steps of key 2 of Repairs and haul-out' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'More for key 2, step 1' }).focus();
  await page.keyboard.press('Control+d');
  expect(await name(2)).toBe('Cormac Adeyemi');
  await page.getByRole('button', { name: 'More for key 2, step 1' }).focus();
  await page.keyboard.press('Control+x');
  expect(await name(2)).toBe('Mateo O’Dowd');
  await page.getByRole('button', { name: 'More for key 3, step 1' }).focus();
  await page.keyboard.press('Control+v');
  await expect(page.getByLabel('Who is rung by key 3, step 2').locator('option:checked')).toHaveText('Cormac Adeyemi');
  await page
    .getByRole('button', { name: 'Undo: ring Cormac Adeyemi for 18 s (key 3 of Repairs and haul-out)' })
    .click();
  await expect(page.getByLabel('Who is rung by key 3, step 2')).toBeHidden();
  await saved(page);
});

test('a step is dragged to another key, and a key to another place', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:repairs`);
  const handle = page.getByRole('button', { name: 'More for key 2, step 1' });
  const target = page.getByRole('button', { name: 'More for key 3, step 1' });
  const [from, to] = [await handle.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error('Nothing to drag');
  await page.mouse.move(from.x + 8, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x - 30, to.y + 8, { steps: 10 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo: move a step to another path' })).toBeVisible();
  await expect(
    page.getByRole('group', { name: 'What key 3 does' }).locator('option:checked', { hasText: 'Mateo O’Dowd' }),
  ).toHaveCount(1);
  await expect(page.getByLabel('Who is rung by key 2, step 1').locator('option:checked')).toHaveText('Cormac Adeyemi');
});

test('a whole menu is duplicated, cut and pasted; two sheets are written side by side', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:repairs`);
  await page.getByRole('button', { name: 'More for Repairs and haul-out' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Name of the menu')).toHaveValue('Repairs and haul-out 2');
  await page.getByRole('button', { name: 'More for Repairs and haul-out 2' }).click();
  await page.getByRole('menuitem', { name: 'Cut' }).click();
  await expect(page.getByRole('link', { name: 'Repairs and haul-out 2' })).toBeHidden();
  await page.getByRole('button', { name: 'Paste Repairs and haul-out 2' }).click();
  await expect(page.getByRole('link', { name: 'Repairs and haul-out 2' })).toBeVisible();
  await page.getByRole('link', { name: 'Menu Welcome', exact: true }).click();
  await expect(page.getByLabel('Name of the menu')).toHaveValue('Welcome');
  await page.getByLabel('Which sheet is beside this one').selectOption('After hours');
  const names = page.getByLabel('Name of the menu');
  await expect(names).toHaveCount(2);
  const words = page.getByRole('textbox', { name: 'Opening words' });
  await words.nth(1).fill('We are closed.');
  await expect(words.first()).toHaveText('Thank you for calling Larkspur Cove Boatyard.');
  await saved(page);
});

test('anything is found by name or words, by key alone', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('engines');
  await expect(page.getByRole('option').first()).toContainText('engines');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/sheet:repairs\?key=2$/);
  await expect(page.getByLabel('What key 2 is for')).toBeFocused();
  await page.getByRole('heading', { name: 'If nobody presses a key' }).click();
  await page.keyboard.press('/');
  await page.getByLabel('Find', { exact: true }).fill('zielinska');
  await expect(page.getByRole('option')).toContainText(['Hana Zielinska, 208']);
  await page.getByLabel('Find', { exact: true }).fill('there is no such thing');
  await expect(page.getByText('Nothing is called so, and nobody says it.')).toBeVisible();
});

test('a starter takes the place of the draft, made for the people there are, and undo brings it back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/starters`);
  await page.getByRole('button', { name: /^A workshop/ }).click();
  await expect(page.getByRole('region', { name: 'What callers would hear' })).toContainText(
    'For something that cannot wait, press 4.',
  );
  await page.getByRole('button', { name: 'Begin with this' }).click();
  await expect(page.getByRole('link', { name: 'Jobs' })).toBeVisible();
  await expect(page.getByRole('banner')).toContainText(/Proof (clean|\d+ tip)/);
  await page.getByRole('button', { name: 'Undo: begin with the starter “A workshop”' }).click();
  await expect(page.getByRole('link', { name: 'Repairs and haul-out' })).toBeVisible();
});

test('outside numbers are read as they are typed; the line’s own is a fault', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:welcome`);
  await page.getByLabel('What key 5, step 1 does').selectOption('ringOutside');
  await page.getByLabel('Outside number of key 5, step 1').selectOption('this number:');
  const number = page.getByLabel('Number typed in key 5, step 1');
  await number.fill('soon');
  await expect(page.getByText('(not a telephone number yet)')).toBeVisible();
  await expect(page.getByText('Key 5 of Welcome calls something that is not a telephone number.')).toBeVisible();
  await number.fill('(207) 555-0140');
  await expect(page.getByText('Key 5 of Welcome calls this line’s own number.')).toBeVisible();
  await number.fill('(207) 555-0161');
  await expect(page.getByText('(+1 207 555 0161)')).toBeVisible();
  await page.getByLabel('Who answers in key 5, step 1').selectOption('who answers is connected');
  const seconds = page.getByRole('spinbutton', { name: /Seconds of ringing in key 5, step 1/ });
  await seconds.fill('30');
  await expect(page.getByText('(its own voicemail may answer)')).toBeVisible();
  await saved(page);
});

test('a key that is the first digit of extensions is moved in a click', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:welcome`);
  await expect(page.getByText('Key 2 waits 2 s before it acts.')).toBeVisible();
  // The note in the margin offers the same, until further notes fold it away.
  await page.getByRole('button', { name: 'Move key 2 to 6' }).last().click();
  await expect(page.getByLabel('What key 6 is for')).toHaveValue('haul-out, launch and repairs');
  await expect(page.getByText('No key of this menu has to wait.')).toBeVisible();
  await expect(page.getByRole('banner')).toContainText(/Proof (clean|\d+ tip)/);
});

test('all twelve keys can be used, and the menu says what to do then', async ({ page, server }) => {
  await page.goto(`${server.url}/script/sheet:welcome`);
  await page.getByRole('button', { name: 'Add key 6' }).click();
  await page.getByRole('button', { name: 'Add key #' }).click();
  await expect(page.getByText('All twelve keys are used.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Duplicate key 1' })).toBeDisabled();
});
