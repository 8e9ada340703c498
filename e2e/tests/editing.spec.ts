import { callAt, expect, go, heard, saved, setMoment, test } from '../support/test';

test('a key is added, moved, described and removed again in the script', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await page.getByRole('button', { name: 'Give key 6 a use' }).click();
  await expect(page.getByLabel('What key 6 is for')).toBeFocused();
  await page.keyboard.type('rigging');
  await page.getByRole('button', { name: 'Add a step to key 6' }).click();
  await page.getByLabel('Who is rung by key 6, step 1').selectOption('Ingrid Vasquez-Thorne');
  await expect(page.getByRole('listitem', { name: 'Key 6' })).toContainText('for');
  await expect(page.getByText('Key 6 of Welcome stops')).toBeVisible();
  await page.getByRole('button', { name: 'Add a step to key 6' }).click();
  await expect(page.getByText('Key 6 of Welcome stops')).toBeHidden();

  // Moving a key takes its words and its path along; two that meet change places.
  await page.getByLabel('Move key 6 to').selectOption('5');
  await expect(page.getByLabel('What key 5 is for')).toHaveValue('rigging');
  await expect(page.getByLabel('What key 6 is for')).toHaveValue('accounts');
  await expect(page.getByLabel('Who is rung by key 5, step 1')).toHaveValue(/person:/);

  await page.getByRole('button', { name: 'Remove key 5', exact: true }).click();
  await expect(page.getByLabel('What key 5 is for')).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByLabel('What key 5 is for')).toHaveValue('rigging');
  await saved(page);
});

test('digits lead to their key; a caption leads to the key it speaks of', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await expect(page.getByLabel('What key 3 is for')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByLabel('What key 3 is for')).toBeFocused();
  await callAt(page, '2026-11-23T10:00');
  await heard(page).getByRole('link', { name: 'For moorings and dock space, press 1.' }).click();
  await expect(page).toHaveURL(/\/script\/sheet:\w+\?key=1$/);
  await expect(page.getByLabel('What key 1 is for')).toBeFocused();
});

test('an announcement is added and removed; one that is used is replaced first', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await page.getByRole('button', { name: 'Announcement', exact: true }).click();
  await page.getByLabel('Name of the announcement').fill('Regatta');
  await page.getByRole('textbox', { name: 'The caller hears' }).fill('The regatta is on Saturday.');
  await expect(page.getByText('What follows Regatta leads nowhere.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a step to what follows' }).click();
  await page.getByLabel('What what follows, step 1 does').selectOption('hangUp');
  await expect(page.getByText('What follows Regatta leads nowhere.')).toBeHidden();
  await expect(page.getByText('Nothing leads to Regatta.')).toBeVisible();
  await page.getByRole('button', { name: 'More for Regatta' }).click();
  await page.getByRole('menuitem', { name: 'Remove Regatta' }).click();
  await expect(page.getByRole('link', { name: 'Regatta' })).toBeHidden();

  await page.getByRole('link', { name: 'Announcement Fuel dock', exact: true }).click();
  await page.getByRole('button', { name: 'More for Fuel dock' }).click();
  await page.getByRole('menuitem', { name: 'Remove Fuel dock' }).click();
  const dialog = page.getByRole('dialog', { name: 'Fuel dock is still used' });
  await expect(dialog).toContainText('Used in Welcome: key 4; After hours: key 3.');
  await dialog.getByLabel('What is put in its place').selectOption('Where we are');
  await dialog.getByRole('button', { name: 'Replace and remove' }).click();
  await expect(page.getByRole('link', { name: 'Announcement Fuel dock', exact: true })).toBeHidden();
  await page.getByRole('link', { name: 'Menu Welcome', exact: true }).click();
  await expect(page.getByLabel('Sheet of key 4, step 1', { exact: true })).toHaveValue('sheet:whereWeAre');
  await page.getByRole('button', { name: 'Undo: remove Fuel dock' }).click();
  await expect(page.getByRole('link', { name: 'Announcement Fuel dock', exact: true })).toBeVisible();
});

test('the draft goes on air, differs when changed, and the earlier version is put back', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  const bar = page.getByRole('banner');
  await expect(bar).toContainText('On air:');
  await expect(bar.getByRole('link', { name: 'Put on air' })).toBeHidden();
  await page.getByRole('textbox', { name: 'Opening words' }).fill('Ahoy from the boatyard.');
  await bar.getByRole('link', { name: 'Put on air' }).click();
  await expect(page.getByText('Welcome, opening words')).toBeVisible();
  await page.getByRole('button', { name: 'Put on air now' }).click();
  await expect(page.getByText('Nothing: the draft is what is on air, version 3.')).toBeVisible();
  await page.getByRole('link', { name: 'Versions' }).click();
  const earlier = page.getByRole('listitem', { name: 'Version 2' });
  await earlier.getByRole('link', { name: 'Put back on air' }).click();
  await expect(page.getByText('“Ahoy from the boatyard.”')).toBeVisible();
  await page.getByRole('button', { name: 'Put back on air now' }).click();
  await expect(page.getByText('Version 2 is on air. Callers hear it from now on.')).toBeVisible();
  await expect(bar.getByRole('link', { name: 'Put on air' })).toBeVisible();

  // The handset hears the difference between the two.
  await page.getByLabel('What to call').selectOption('onAir');
  await setMoment(page, 'Or any moment, by the line’s clock', '2026-11-23T10:00');
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await expect(heard(page)).toContainText('Thank you for calling Larkspur Cove Boatyard.');
});

test('a draft with a fault is kept, but does not go on air', async ({ page, server }) => {
  await page.goto(`${server.url}/script`);
  await page.getByRole('button', { name: 'Give key 6 a use' }).click();
  await saved(page);
  await page.getByRole('banner').getByRole('link', { name: 'Proof 1 fault' }).click();
  await expect(page.getByText('Key 6 of Welcome leads nowhere.')).toBeVisible();
  await page.getByRole('link', { name: 'Put on air …' }).click();
  await expect(page.getByText(/^Mend the faults first/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Put on air now' })).toBeDisabled();
  await page.getByRole('link', { name: 'Open it' }).first().click();
  await expect(page.getByLabel('What key 6 is for')).toBeVisible();
});

test('hours are painted, typed, refused in words, and undone', async ({ page, server }) => {
  await page.goto(`${server.url}/hours`);
  const sunday = page.getByLabel('Open on Sunday');
  const bar = page.locator('[data-day="7"]');
  // Words above it may still wrap otherwise.
  await page.evaluate(() => document.fonts.ready);
  const box = await bar.boundingBox();
  if (!box) throw new Error('Sunday has no bar');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width * (9 / 24), y);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * (12 / 24), y, { steps: 5 });
  await page.mouse.up();
  await expect(sunday).toHaveValue('9:00–12:00');
  await sunday.fill('8-12, 1pm-5:30');
  await sunday.press('Enter');
  await expect(sunday).toHaveValue('8:00–12:00, 13:00–17:30');
  await page.getByRole('button', { name: 'Undo in the week' }).click();
  await expect(sunday).toHaveValue('9:00–12:00');
  await page.getByRole('button', { name: 'Copy Sunday to other days' }).click();
  await page.getByRole('menuitem', { name: 'Make Monday to Friday like Sunday' }).click();
  await expect(page.getByLabel('Open on Wednesday')).toHaveValue('9:00–12:00');
  await expect(page.getByLabel('Open on Saturday')).toHaveValue('8:00–12:00');
  await page.getByRole('button', { name: 'Undo in the week' }).click();
  await expect(page.getByLabel('Open on Wednesday')).toHaveValue('7:30–17:00');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Always Open' }).click();
  await expect(page.getByLabel('Open on Wednesday')).toHaveValue('0:00–24:00');
  await page.getByRole('button', { name: 'Undo in the week' }).click();
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(sunday).toHaveValue('0:00–24:00');
  await page.getByRole('button', { name: 'Undo in the week' }).click();
  await expect(page.getByLabel('Open on Wednesday')).toHaveValue('7:30–17:00');
  await sunday.fill('8:00-25:00');
  await sunday.press('Enter');
  await expect(page.getByText('There is no 25:00: a day runs from 0:00 to 24:00.')).toBeVisible();
  await expect(sunday).toHaveValue('8:00-25:00');
  await page.reload();
  await expect(sunday).toHaveValue('9:00–12:00');
});

test('a period that answers somewhere is not removed; a new one answers once it has a path', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/hours`);
  await page.getByRole('button', { name: 'Remove Open' }).click();
  await expect(page.getByText(/Open is still used: the answer during Open/)).toBeVisible();
  await page.getByRole('button', { name: 'Period', exact: true }).click();
  await page.getByLabel('Evening on Friday').fill('18-22');
  await page.getByLabel('Evening on Friday').press('Enter');
  const evening = page.getByRole('listitem').filter({ hasText: 'During Evening:' });
  await evening.getByRole('button', { name: 'Let something else answer' }).click();
  await page.getByRole('button', { name: 'Add a step to the answer during Evening' }).click();
  await page.getByLabel('What the answer during Evening, step 1 does').selectOption('goTo');
  await page.getByLabel('Sheet of the answer during Evening, step 1', { exact: true }).selectOption('Welcome');
  await saved(page);
  await expect(
    page.getByRole('button', { name: /^(Now: Evening, Welcome|Evening, Welcome Fri 6:30 PM)$/ }),
  ).toBeVisible();
});

test('a greeting is typed, given a voice, heard, and used by a box', async ({ page, server }) => {
  await page.goto(`${server.url}/greetings`);
  await page.getByRole('button', { name: 'New greeting' }).click();
  await page.getByLabel('Name of the greeting').fill('Yard box');
  await page.getByRole('textbox', { name: 'Words' }).fill('The yard is out on the water. Leave a message.');
  await page.getByLabel('Voice of Yard box').selectOption('awb');
  await expect(page.getByRole('region', { name: 'Greeting' }).getByRole('status')).toHaveText('Saved');
  const audio = page.waitForResponse((response) => response.url().includes('/api/audio/'));
  await page.getByRole('button', { name: 'Hear the voice' }).click();
  expect((await audio).status()).toBe(200);
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();

  await go(page, '/directory/boxes');
  const kept = page.waitForResponse((response) => response.request().method() === 'PATCH');
  await page.getByLabel('Greeting of the box Yard').selectOption('Yard box');
  expect((await kept).status()).toBe(200);
  await go(page, '/greetings');
  await page.getByRole('link', { name: /Yard box/ }).click();
  await expect(page.getByText('Used in the box Yard.')).toBeVisible();
  await page.getByRole('button', { name: /^Delete Yard box/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Yard box is still used' });
  await expect(dialog).toContainText('the greeting of the box Yard');
  await dialog.getByLabel('Who or what is put there').selectOption('Moorings box');
  await dialog.getByRole('button', { name: 'Replace and delete' }).click();
  await expect(page.getByRole('row', { name: /^Moorings box/ })).toContainText('the box Yard');
  await expect(page.getByRole('row', { name: /^Yard box/ })).toHaveCount(0);
});

test('people: markup in a name is only text, extensions are unique, one in use stays, a deletion is undone', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/directory/people`);
  await page.getByLabel('Name of a new person').fill('<b onclick="alert(1)">Ada</b>');
  await page.getByRole('button', { name: 'Add person' }).click();
  const added = page.getByLabel('Name of <b onclick="alert(1)">Ada</b>');
  await expect(added).toHaveValue('<b onclick="alert(1)">Ada</b>');

  await page.getByLabel('Name of a new person').fill('Second Noor');
  await page.getByLabel('Extension of a new person').fill('212');
  await page.getByRole('button', { name: 'Add person' }).click();
  await expect(page.getByText('Extension 212 is Noor Haldane’s already.')).toBeVisible();
  await expect(page.getByLabel('Name of a new person')).toHaveValue('Second Noor');

  await page.getByRole('button', { name: 'Delete Priya Castellanos' }).click();
  const dialog = page.getByRole('dialog', { name: 'Priya Castellanos is still used' });
  await expect(dialog).toContainText('a member of the group Moorings');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByLabel('Name of Priya Castellanos')).toBeVisible();

  await page.getByRole('button', { name: 'Delete Odile Farnsworth' }).click();
  await expect(page.getByLabel('Name of Odile Farnsworth')).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Name of Odile Farnsworth')).toBeVisible();
});

test('a message is deleted with a way back', async ({ page, server }) => {
  await page.goto(`${server.url}/messages`);
  const row = page.getByRole('listitem', { name: 'Message from +1 207 555 0117' });
  await row.getByRole('button', { name: /^Delete/ }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(row).toBeVisible();
});

test('a rung person answers, and hangs up', async ({ page, server }) => {
  await page.goto(`${server.url}/today`);
  await setMoment(page, 'Or any moment, by the line’s clock', '2026-11-23T10:00');
  await page.getByRole('button', { name: 'Call', exact: true }).click();
  await page.getByRole('button', { name: 'Press 5' }).click();
  await expect(page.getByText('Hana Zielinska is ringing')).toBeVisible();
  await page.getByRole('button', { name: 'Answer' }).click();
  await expect(page.getByText('You are talking to Hana Zielinska.')).toBeVisible();
  await page.getByRole('button', { name: 'They hang up' }).click();
  await expect(heard(page)).toContainText('The other side hung up');
  await page.getByRole('button', { name: 'Call again' }).click();
  await expect(page.getByRole('button', { name: 'Call', exact: true })).toBeVisible();
  // The moment that was pretended is still there.
  const moment = page.getByRole('group', { name: 'Or any moment, by the line’s clock' });
  await expect(moment.getByLabel(/: date$/)).toHaveValue('11/23/2026');
  await expect(moment.getByLabel(/: time$/)).toHaveValue('10:00 AM');
});
