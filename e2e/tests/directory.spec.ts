import { readFileSync } from 'node:fs';
import { expect, go, saved, test } from '../support/test';

const rows = [
  'Name\tExtension\tE-mail\tMobile',
  'Noor Haldane\t212\tnoor.haldane@larkspurcove.example\t',
  'Pia Renner\t\tpia@larkspurcove.example\t207 555 0113',
  '',
  'Pia Renner\t240\t\t',
  '=HYPERLINK("x")\t241\t\t',
  'Otto Lund\t204\t\t',
].join('\n');

test('a table with headings in another language is asked about, and columns that are not taken are said', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/directory/take-in`);
  const lines = ['Navn\tStilling\tLokalnummer', 'Tove Brun\tRigger\t251', 'Ida Falk\tPainter\t252'];
  await page.getByLabel('Rows from a spreadsheet, or contact cards').fill(lines.join('\n'));
  const preview = page.getByRole('region', { name: 'What will happen' });
  await expect(preview).toContainText('2 new');
  await expect(page.getByLabel('What column 2 is, Stilling')).toHaveValue('none');
  await page.getByLabel('What the first row is').selectOption('person');
  await expect(preview).toContainText('2 new, 1 not taken');
  await page.getByLabel('What the first row is').selectOption('heading');
  await page.getByLabel('What column 2 is, Stilling').selectOption('saidAs');
  await page.getByRole('button', { name: 'Take in 2 of 2' }).click();
  await expect(page.getByText('2 people were taken in.')).toBeVisible();
});

test('rows pasted from a spreadsheet are shown before anything changes, and taken in where they are right', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/directory/people`);
  await page.getByRole('link', { name: 'Bring people in' }).click();
  await page.getByLabel('Rows from a spreadsheet, or contact cards').fill(rows);
  const preview = page.getByRole('region', { name: 'What will happen' });
  await expect(preview).toContainText('1 new, 1 changed, 3 not taken');
  await expect(preview).toContainText('noor@larkspurcove.example noor.haldane@larkspurcove.example');
  await expect(preview).toContainText('215 (next free)');
  await expect(preview).toContainText('The same person is in row 3 already.');
  await expect(preview).toContainText('Extension 204 is Priya Castellanos’s.');
  await page.getByRole('button', { name: 'Take in 2 of 5' }).click();
  await expect(page.getByLabel('Extension of Pia Renner')).toHaveValue('215');
  await expect(page.getByLabel('E-mail of Noor Haldane')).toHaveValue('noor.haldane@larkspurcove.example');
  await expect(page.getByText('18 people', { exact: true })).toBeVisible();
});

test('people go out as a spreadsheet and as cards, and come back in; an old card of another charset too', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/directory/people`);
  const saveAs = async (name: string) => {
    await page.getByRole('button', { name: 'Save as' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name }).click()]);
    return download.path();
  };
  const csv = await saveAs('Spreadsheet (CSV)');
  const cards = await saveAs('Contact cards (vCard)');
  expect(readFileSync(csv, 'utf8')).toContain('Mateo O’Dowd,209,mateo@larkspurcove.example,+1 207 555 0169,');
  await go(page, '/directory/take-in');
  const choose = (files: Parameters<ReturnType<typeof page.locator>['setInputFiles']>[0]) =>
    page.getByLabel('A file of people').setInputFiles(files);
  for (const file of [csv, cards]) {
    await choose(file);
    await expect(page.getByRole('region', { name: 'What will happen' })).toContainText('17 as before');
  }
  const old = Buffer.from(
    'BEGIN:VCARD\r\nVERSION:2.1\r\nN:\xd8yen;\xc5se\r\nTEL;CELL:207 555 0166\r\nEND:VCARD\r\n',
    'latin1',
  );
  await choose({ name: 'old.vcf', mimeType: 'text/vcard', buffer: old });
  await expect(page.getByRole('region', { name: 'What will happen' })).toContainText('Åse Øyen');
  await choose({ name: 'photo.vcf', mimeType: 'text/vcard', buffer: Buffer.from([1, 0, 2, 0]) });
  await expect(page.getByRole('alert')).toHaveText('photo.vcf is no text. Save it as CSV or vCard first.');
});

test('a person gets phones in an order, how the name is said, and hours of their own', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/people`);
  await page.getByLabel('Search people').fill('noor');
  await expect(page.getByText('1 of 17')).toBeVisible();
  await page.getByRole('button', { name: 'More about Noor Haldane' }).click();
  await page.getByRole('button', { name: 'then another phone' }).click();
  const number = page.getByLabel('Number of phone 2 of Noor Haldane');
  await number.fill('12');
  await expect(page.getByText('not a telephone number yet')).toBeVisible();
  await number.fill('207 555 0112');
  await page.getByLabel('Working hours of Noor Haldane').selectOption('only in the hours “Fuel dock”');
  await page.getByLabel('How Noor Haldane is said').fill('Noor Hall-dane');
  await expect(page.getByRole('cell', { name: 'desk, then +1 207 555 0112' })).toBeVisible();
  const people = `${server.url}/api/people`;
  await expect.poll(async () => (await page.request.get(people)).text()).toContain('Noor Hall-dane');
  await page.reload();
  await page.getByRole('button', { name: 'More about Noor Haldane' }).click();
  await expect(page.getByLabel('How Noor Haldane is said')).toHaveValue('Noor Hall-dane');
  await expect(number).toHaveValue('+1 207 555 0112');
});

test('a colleague who leaves is replaced everywhere in one step', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/people`);
  await page.getByRole('button', { name: 'Delete Hana Zielinska' }).click();
  const dialog = page.getByRole('dialog', { name: 'Hana Zielinska is still used' });
  await expect(dialog).toContainText('told of messages in the box Accounts');
  await dialog.getByLabel('Who or what is put there').selectOption('Mateo O’Dowd');
  await expect(dialog).toContainText('Stays as it is');
  await dialog.getByRole('button', { name: 'Replace', exact: true }).click();
  await expect(page.getByText('Hana Zielinska was replaced, and can be deleted once')).toBeVisible();
  await go(page, '/script');
  await expect(page.getByLabel('Who is rung by key 5, step 1').locator('option:checked')).toHaveText('Mateo O’Dowd');
  await go(page, '/on-air');
  // The rehearsals in which Hana answered no longer hold: that is meant.
  await expect(page.getByText(/of 24 no longer hold/)).toBeVisible();
  const unanswered = page.getByRole('button', { name: 'It is meant so …' });
  while ((await unanswered.count()) > 0) {
    const left = await unanswered.count();
    await unanswered.first().click();
    await page.getByLabel('Why it is meant so').fill('Hana has left');
    await page.getByRole('button', { name: 'Yes, keep it' }).click();
    await expect(unanswered).toHaveCount(left - 1);
  }
  await page.getByRole('button', { name: 'Put on air now' }).click();
  await expect(page.getByText('Nothing: the draft is what is on air, version 3.')).toBeVisible();
  await go(page, '/directory/people');
  await page.getByRole('button', { name: 'Delete Hana Zielinska' }).click();
  await expect(page.getByLabel('Name of Hana Zielinska')).toBeHidden();
  await page.getByRole('button', { name: 'Delete Bram Lindqvist' }).click();
  const member = page.getByRole('dialog', { name: 'Bram Lindqvist is still used' });
  await expect(member).toContainText('a member of the group Yard');
  await member.getByLabel('Only take them out').check();
  await expect(member).toContainText('Then Bram Lindqvist is deleted.');
  await member.getByRole('button', { name: 'Take out and delete' }).click();
  const notice = page.locator('[data-scope=toast][data-part=root]', { hasText: 'was taken out and deleted' });
  await notice.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Name of Bram Lindqvist')).toBeVisible();
  await go(page, '/directory/groups');
  await page
    .getByRole('link', { name: /Yard/ })
    .or(page.getByRole('button', { name: /^Yard/ }))
    .first()
    .click();
  await expect(page.getByText('Bram Lindqvist').first()).toBeVisible();
});

test('the extension plan shows gaps and waits, and renumbers with a way back', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/extensions`);
  await expect(page.getByText('201–214, 221–222, 230')).toBeVisible();
  await expect(page.getByText('255 Spring launch line')).toBeVisible();
  await expect(page.getByText('Rosalind Achterberg, Wendell Achterberg: read out, and chosen by key')).toBeVisible();
  await expect(page.getByText(/^Key 2 of Welcome waits 2 s/)).toBeVisible();
  await page.getByRole('button', { name: 'Renumber 17 people' }).click();
  await expect(page.getByText('901–914, 921–922, 930')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('201–214, 221–222, 230')).toBeVisible();
});

test('contacts and lists of callers are kept; what is no number is named and not lost', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/contacts`);
  await page.getByLabel('Name of a new contact').fill('Us');
  await page.getByLabel('Number of a new contact').fill('+1 207 555 0140');
  await page.getByRole('button', { name: 'Add contact' }).click();
  await expect(page.getByRole('alert')).toContainText('is the number of Larkspur Cove Boatyard itself');
  await page.getByLabel('Number of a new contact').fill('+1 207 555 0192');
  await page.getByRole('button', { name: 'Add contact' }).click();
  await expect(page.getByLabel('Name of Us')).toBeVisible();

  await go(page, '/directory/callers');
  const numbers = page.getByLabel('Numbers in Slip holders, one a line');
  await numbers.fill('+1 207 555 0171\n+1 207 555 018*\nmy neighbour');
  await expect(page.getByText('Not a number, and not taken: “my neighbour”')).toBeVisible();
  const lists = `${server.url}/api/caller-lists`;
  await expect.poll(async () => (await page.request.get(lists)).text()).toContain('+120755501' + '8*');
  await page.reload();
  await expect(numbers).toHaveValue('+1 207 555 0171\n+120755501' + '8*');
});

test('the operator of a line is named in Lines, and a name that is taken is refused in words', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/lines`);
  const operator = page.getByLabel('Operator of the line Larkspur Cove Boatyard');
  await expect(operator.locator('option:checked')).toHaveText('the group Front desk');
  const kept = page.waitForResponse((response) => response.request().method() === 'PATCH');
  await operator.selectOption('Noor Haldane');
  expect((await kept).status()).toBe(200);
  const name = page.getByLabel('Name of the line Storage shed');
  await name.fill('Larkspur cove boatyard');
  await name.blur();
  await expect(page.getByRole('listitem', { name: 'Storage shed' })).toContainText(
    'There is a line called “Larkspur Cove Boatyard” already.',
  );
  await go(page, '/directory/people');
  await page.getByRole('button', { name: 'Delete Noor Haldane' }).click();
  const dialog = page.getByRole('dialog', { name: 'Noor Haldane is still used' });
  await expect(dialog).toContainText('the operator of the line Larkspur Cove Boatyard');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await go(page, '/script');
  const sheet = page.getByRole('textbox', { name: 'Name of the menu' });
  await sheet.fill('after hours');
  await expect(page.getByText('“After hours” is the name of another one.')).toBeVisible();
  await sheet.blur();
  await expect(sheet).toHaveValue('Welcome');
});

test('a second line has its own script; people keep hours of their own', async ({ page, server }) => {
  await page.goto(`${server.url}/lines`);
  await page.getByLabel('Name of a new line').fill('Night line');
  await page.getByLabel('Number of a new line').fill('+1 207 555 0155');
  await page.getByRole('button', { name: 'Add line' }).click();
  await expect(page.getByRole('alert')).toHaveText('+1 207 555 0155 is the number of Storage shed already.');
  await page.getByLabel('Number of a new line').fill('+1 207 555 0156');
  await page.getByRole('button', { name: 'Add line' }).click();
  await page.getByRole('listitem', { name: 'Night line' }).getByRole('link', { name: 'Open its script' }).click();
  await expect(page).toHaveURL(/\/line\/line:[^/]+\/script$/);
  await expect(page.getByRole('banner')).toContainText('Night line');
  await page.getByRole('textbox', { name: 'Opening words' }).fill('Good evening.');
  await saved(page);
  await page.getByRole('button', { name: /^Line Night line/ }).click();
  await page.getByRole('menuitem', { name: /^Storage shed/ }).click();
  await expect(page.getByRole('banner')).toContainText('Storage shed');

  await page.goto(`${server.url}/hours`);
  await page.getByRole('button', { name: 'Other hours, for people' }).click();
  await page.getByLabel('Name of these hours').fill('Summer staff');
  await page.getByLabel('Name of these hours').blur();
  await page.getByLabel('Working on Sunday').fill('9-12');
  await page.getByLabel('Working on Sunday').press('Enter');
  await expect(page.getByLabel('Which hours are shown')).toContainText('Summer staff');
  await page.reload();
  await expect(page.getByLabel('Working on Sunday')).toHaveValue('9:00–12:00');
});

test('a group rings whoever is on call: the turns are seen, swapped for some days and given back', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/directory/groups`);
  await page.getByRole('link', { name: /On call/ }).click();
  const duties = page.getByRole('list', { name: 'On call in On call' });
  const duty = (index: number) => duties.getByRole('listitem').nth(index);
  await expect(duty(0)).toContainText(/^Now, until .*8:00 AM/);
  const staff = ['Bram Lindqvist', 'Mateo O’Dowd', 'Cormac Adeyemi'];
  const told = await duty(0).textContent();
  const now = staff.findIndex((name) => told?.includes(name));
  const [first = '', second = '', third = ''] = [...staff.slice(now), ...staff.slice(0, now)];
  await expect(duty(1)).toContainText(second);
  await duty(1)
    .getByRole('button', { name: /^Swap from/ })
    .click();
  await page.getByLabel('Who is on call instead').selectOption(third);
  await page.getByRole('button', { name: 'Swap', exact: true }).last().click();
  await expect(duty(1)).toContainText(`${third}, instead of ${second}`);
  await saved(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as a calendar' }).click(),
  ]);
  const calendar = readFileSync(await download.path(), 'utf8');
  expect(calendar).toContain(`SUMMARY:On call: ${third}\r\nDESCRIPTION:Instead of ${second}`);
  await go(page, '/today');
  const today = page.getByRole('list', { name: 'On call' });
  await expect(today).toContainText(`On call: ${first} until`);
  await expect(today).toContainText(`then ${third}.`);
  await today.getByRole('link').click();
  await duties.getByRole('button', { name: /^Take the swap from/ }).click();
  await expect(duties).not.toContainText('instead of');
  await page.getByLabel('Add a turn to On call').selectOption(third);
  const turns = page.getByRole('list', { name: 'Turns of On call' }).getByRole('listitem');
  await expect(turns).toHaveText([`1${first}`, `2${second}`, `3${third}`, `4${third}`]);
  await page.getByRole('button', { name: `Take ${third} out` }).click();
  await expect(turns).toHaveText([`1${first}`, `2${second}`]);
  await saved(page);
});

test('a group says in its own words that it is closed, and sends callers elsewhere then', async ({ page, server }) => {
  await page.goto(`${server.url}/directory/groups`);
  await page.getByRole('link', { name: /^Moorings/ }).click();
  await expect(page.getByLabel('Said outside its hours', { exact: true })).toHaveCount(0);
  await page.getByLabel('Hours of Moorings').selectOption({ index: 1 });
  await page.getByLabel('Said outside its hours', { exact: true }).fill('The moorings office is closed now.');
  await page.getByRole('button', { name: 'Add a step to Moorings, closed' }).click();
  await page.getByLabel('What moorings, closed, step 1 does', { exact: false }).selectOption('hangUp');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Said outside its hours', { exact: true })).toHaveText(
    /The moorings office is closed now/,
  );
});
