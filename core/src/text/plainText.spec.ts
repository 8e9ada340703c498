import { plainName, plainText } from './plainText';

it('keeps names in any script, and what they are made of', () => {
  for (const name of ['Jürgen Weiß', 'שרה לוי', 'O’Connor, DDS', '王小明', 'Zoë 👩‍⚕️ (desk 2)', 'मीरा']) {
    expect(plainName(name)).toBe(name);
  }
});

it('leaves out of names what does not show, or turns round what does', () => {
  expect(plainName('Ada\u0000 Lee\u0007')).toBe('Ada  Lee ');
  expect(plainName('Ada\r\nLee\u2028Jr.')).toBe('Ada Lee Jr.');
  expect(plainName('invoice\u202Efdp.exe')).toBe('invoicefdp.exe');
  expect(plainName('half \ud83d')).toBe('half \ufffd');
});

it('keeps the lines of a longer text, however they were broken', () => {
  expect(plainText('We are closed.\r\nCall again\ttomorrow.\rThank you.')).toBe(
    'We are closed.\nCall again tomorrow.\nThank you.',
  );
});
