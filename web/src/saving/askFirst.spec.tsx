/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { FakeServer } from '../testing/fakeServer';
import { show } from '../testing/inApp';
import { AskFirst } from './AskFirst';
import { askedFirst, LeftAsItWas } from './askedFirst';

const path = '/api/groups/group:front';
const breaks = [
  { lineName: 'Harbor', says: 'Key 1 of Welcome leads to Front desk, which nobody is in.', why: 'Nothing rings.' },
  { lineName: 'Yard', says: 'Silence in Welcome leads to Front desk, which nobody is in.', why: 'Nothing rings.' },
];
const breaking = { status: 409, body: { detail: 'Callers would notice.', type: '/problems/breaks-on-air', breaks } };

let server: FakeServer;
beforeEach(() => {
  server = new FakeServer().on('PATCH', path, ({ isStrict }) => (isStrict ? breaking : { body: { revision: 4 } }));
});

const change = (): Promise<unknown> => askedFirst(path, { method: 'PATCH', body: { members: [] } });
const click = (name: string | RegExp): Promise<void> =>
  act(async () => void fireEvent.click(await screen.findByRole('button', { name })));

describe('a change that callers would notice', () => {
  it('says what they would meet, line by line, and is made after a yes', async () => {
    show(<AskFirst />);
    const made = change();
    const asked = await screen.findByRole('alertdialog', { name: 'Callers would notice this at once' });
    for (const { lineName, says } of breaks) {
      expect(asked.textContent).toContain(`On air, ${lineName}`);
      expect(asked.textContent).toContain(says);
    }
    expect(asked.textContent).toContain('Nothing is changed yet.');
    await click('Yes, change it');
    expect(await made).toEqual({ revision: 4 });
    expect(server.changes.map(({ isStrict }) => isStrict)).toEqual([true, false]);
    expect(screen.queryByRole('alertdialog')).toBeNull();
  });

  it('is not made after a no, nor when the question is put away', async () => {
    show(<AskFirst />);
    for (const answer of ['No, leave it as it was', 'Escape']) {
      const made = change().catch((error: unknown) => error);
      const asked = await screen.findByRole('alertdialog');
      if (answer === 'Escape') act(() => void fireEvent.keyDown(asked, { key: 'Escape' }));
      else await click(answer);
      expect(await made).toBeInstanceOf(LeftAsItWas);
    }
    expect(server.changes.every(({ isStrict }) => isStrict)).toBe(true);
  });

  it('is asked about one after the other where there are several', async () => {
    show(<AskFirst />);
    const made = [change(), change()].map((each) => each.catch(() => 'left'));
    await click(/^No/);
    await click('Yes, change it');
    expect(await Promise.all(made)).toEqual(['left', { revision: 4 }]);
  });

  it('is made at once where callers notice nothing; other refusals are told as ever', async () => {
    show(<AskFirst />);
    server.on('PATCH', path, { body: { revision: 5 } });
    expect(await change()).toEqual({ revision: 5 });
    server.on('PATCH', path, { status: 422, body: { detail: 'Type a name.' } });
    await expect(change()).rejects.toThrow('Type a name.');
  });
});
