/** @jest-environment jsdom */
import { act, render, renderHook } from '@testing-library/react';
import useSWR from 'swr';
import { api } from '../api/client';
import { FakeServer } from '../testing/fakeServer';
import { InApp } from '../testing/inApp';
import { windowsIn } from './backups';
import { useRowDraft } from './useRowDraft';
import { meetWindows, windows } from './windows';

interface Boat {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly mooring: string;
}

const kept: Boat = { id: 'boat:one', revision: 3, name: 'Kittiwake', mooring: '12' };
const path = '/api/boats/boat:one';

let server: FakeServer;
/** The row as the server has it: a save from another revision is refused with the newer one. */
let row: Boat;
let hook: ReturnType<typeof open>;

/** A screen with the row on it, and the same screen without. */
const open = () => {
  let last: ReturnType<typeof useRowDraft<Boat>>;
  function Row() {
    last = useRowDraft('/api/boats', kept);
    return null;
  }
  const shown = render(<Row />, { wrapper: InApp });
  const draft = () => last;
  return { draft, unmount: shown.unmount, leave: () => shown.rerender(<p>Another screen</p>) };
};

beforeEach(() => {
  jest.useFakeTimers();
  row = kept;
  server = new FakeServer()
    .on('GET', '/api/boats', () => ({ body: [row] }))
    .on('PATCH', path, ({ body }) => {
      const { revision, ...changes } = body as Boat;
      if (revision !== row.revision) {
        return { status: 409, body: { detail: 'It was changed in another window.', revision: row.revision } };
      }
      row = { ...row, ...changes, revision: revision + 1 };
      return { body: row };
    });
  localStorage.clear();
  hook = open();
});
afterEach(() => {
  hook.unmount();
  jest.useRealTimers();
});

const draft = () => hook.draft();
const change = (changes: Partial<Boat>): void => act(() => draft().change(changes));
const pass = (ms: number): Promise<void> => act(() => jest.advanceTimersByTimeAsync(ms));

/** What this window keeps of the row. */
const unsavedHere = (): string | null => localStorage.getItem(`locutor.unsaved.${windows.own} ${path}`);

describe('a row edited in place', () => {
  it('shows what is typed at once, and saves it a moment after the last letter, in one go', async () => {
    for (const name of ['K', 'Kit', 'Kittiwake II']) change({ name });
    change({ mooring: '14' });
    expect(draft().row).toMatchObject({ name: 'Kittiwake II', mooring: '14' });
    expect(draft().saving.type).toBe('saving');
    expect(server.changes).toEqual([]);
    await pass(400);
    expect(server.changes).toEqual([
      { method: 'PATCH', path, body: { name: 'Kittiwake II', mooring: '14', revision: 3 }, isStrict: true },
    ]);
    expect(draft().saving).toEqual({ type: 'saved' });
  });

  it('leaves what was typed as it was typed, though the server keeps it trimmed', async () => {
    server.on('PATCH', path, ({ body }) => {
      row = { ...row, name: (body as Boat).name.trim(), revision: row.revision + 1 };
      return { body: row };
    });
    change({ name: 'Petrel ' });
    await pass(2000);
    expect([row.name, draft().row.name, draft().saving.type]).toEqual(['Petrel', 'Petrel ', 'saved']);
    change({ name: 'Petrel II' });
    await pass(2000);
    expect(row.name).toBe('Petrel II');
  });

  it('goes on from the revision that was saved', async () => {
    change({ name: 'Petrel' });
    await pass(400);
    change({ mooring: '9' });
    await pass(400);
    expect(server.changes.map(({ body }) => body)).toEqual([
      { name: 'Petrel', revision: 3 },
      { mooring: '9', revision: 4 },
    ]);
    expect(row).toMatchObject({ name: 'Petrel', mooring: '9', revision: 5 });
  });

  it('keeps what was typed when it is refused, says why, and saves all of it after the next change', async () => {
    server.on('PATCH', path, { status: 422, body: { detail: 'The name is missing.' } });
    change({ name: '' });
    await pass(400);
    expect(draft().saving).toEqual({ type: 'refused', says: 'The name is missing.' });
    expect(draft().row.name).toBe('');
    server.on('PATCH', path, ({ body }) => ({ body: { ...kept, ...(body as Boat), revision: 4 } }));
    change({ mooring: '7' });
    await pass(400);
    expect(server.changes.at(-1)?.body).toEqual({ name: '', mooring: '7', revision: 3 });
    expect(draft().saving).toEqual({ type: 'saved' });
  });

  it('is tried again by itself while the server does not answer, and kept in the browser', async () => {
    server.goes(true);
    change({ name: 'Petrel' });
    await pass(400);
    expect(draft().saving).toMatchObject({ type: 'unreachable', says: expect.stringContaining('does not answer') });
    expect(draft().row.name).toBe('Petrel');
    expect(unsavedHere()).toContain('Petrel');
    server.goes(false);
    await pass(2000);
    expect([draft().saving.type, row.name]).toEqual(['saved', 'Petrel']);
    expect(unsavedHere()).toBeNull();
  });

  it('is taken up again when the window was closed before it was saved', async () => {
    server.goes(true);
    change({ name: 'Petrel' });
    await pass(400);
    hook.unmount();
    server.goes(false);
    hook = open();
    expect(draft().row.name).toBe('Petrel');
    await pass(400);
    expect([row.name, draft().saving.type]).toEqual(['Petrel', 'saved']);
  });

  it('is taken up from several windows that were closed before they were saved', async () => {
    hook.unmount();
    const left = (id: string, changes: Partial<Boat>): void => {
      const { revision, ...document } = kept;
      const unsaved = { base: { revision, document }, document: { ...document, ...changes } };
      localStorage.setItem(`locutor.unsaved.${id} ${path}`, JSON.stringify(unsaved));
    };
    left('one', { name: 'Petrel' });
    left('other', { mooring: '7' });
    await meetWindows(windowsIn(), undefined);
    hook = open();
    await pass(2000);
    expect([row.name, row.mooring, draft().saving.type]).toEqual(['Petrel', '7', 'saved']);
    expect(localStorage).toHaveLength(0);
  });

  it('can be typed on while it is being saved: there is no other window', async () => {
    let letGo = (): void => undefined;
    const held = new Promise<void>((resolve) => (letGo = resolve));
    const answer = ({ body }: { body: unknown }) => {
      row = { ...row, ...(body as Boat), revision: row.revision + 1 };
      return { body: row };
    };
    server.on('PATCH', path, async (asked) => {
      const answered = answer(asked);
      await held;
      return answered;
    });
    change({ name: 'Petrel' });
    await pass(400);
    change({ name: 'Petrel II' });
    await pass(2000);
    letGo();
    await pass(2000);
    expect(server.changes.map(({ body }) => body)).toEqual([
      { name: 'Petrel', revision: 3 },
      { name: 'Petrel II', revision: 4 },
    ]);
    expect([draft().saving.type, row.name]).toEqual(['saved', 'Petrel II']);
  });

  it('saves at once what is not saved yet when the page is left, and soon when the row is', async () => {
    change({ name: 'Petrel' });
    act(() => void window.dispatchEvent(new Event('pagehide')));
    await pass(0);
    expect(row.name).toBe('Petrel');
    change({ mooring: '1' });
    hook.leave();
    await pass(1000);
    expect(row.mooring).toBe('1');
  });
});

describe('a row that another window has saved meanwhile', () => {
  it('has both changes where they were of different fields', async () => {
    row = { ...row, mooring: '40', revision: 8 };
    change({ name: 'My name' });
    await pass(1000);
    expect(row).toEqual({ ...kept, name: 'My name', mooring: '40', revision: 9 });
    expect(draft()).toMatchObject({ row: { name: 'My name', mooring: '40' }, saving: { type: 'saved' } });
  });

  describe('in the same field', () => {
    beforeEach(async () => {
      row = { ...row, name: 'Their name', revision: 8 };
      change({ name: 'My name' });
      await pass(400);
    });

    it('tells both, and saves nothing more until somebody has chosen', async () => {
      const clashes = [{ where: 'Name', mine: '“My name”', theirs: '“Their name”' }];
      expect(draft().saving).toEqual({ type: 'clash', clashes });
      const asked = server.changes.length;
      change({ mooring: '2' });
      await pass(5000);
      expect(server.changes).toHaveLength(asked);
      expect(draft().row).toMatchObject({ name: 'My name', mooring: '2' });
    });

    it('is saved over theirs when mine is chosen', async () => {
      act(() => draft().choose(['mine']));
      await pass(400);
      expect(row).toMatchObject({ name: 'My name', revision: 9 });
      expect(draft().saving).toEqual({ type: 'saved' });
    });

    it('shows theirs when that is chosen, and goes on from there', async () => {
      act(() => draft().choose(['theirs']));
      expect(draft().row.name).toBe('Their name');
      expect(draft().saving).toEqual({ type: 'saved' });
      change({ mooring: '5' });
      await pass(400);
      expect(row).toMatchObject({ name: 'Their name', mooring: '5', revision: 9 });
    });
  });

  it('is shown as it is by then where nothing was changed here', () => {
    const moved = renderHook(({ of }) => useRowDraft('/api/boats', of), { wrapper: InApp, initialProps: { of: kept } });
    moved.rerender({ of: { ...kept, mooring: '99', revision: 4 } });
    expect(moved.result.current.row).toMatchObject({ mooring: '99', revision: 4 });
  });

  it('says so when it was deleted there', async () => {
    server.on('PATCH', path, { status: 404, body: { detail: 'Kittiwake is not there any more.' } });
    change({ name: 'Petrel' });
    await pass(400);
    expect(draft().saving).toEqual({ type: 'refused', says: 'Kittiwake is not there any more.' });
  });
});

describe('the list a row is in', () => {
  it('has the row as it was saved', async () => {
    const both = renderHook(
      () => ({ all: useSWR<readonly Boat[]>('/api/boats', api).data, draft: useRowDraft('/api/boats', kept) }),
      { wrapper: InApp },
    );
    await pass(0);
    act(() => both.result.current.draft.change({ name: 'Petrel' }));
    await pass(400);
    expect(both.result.current.all?.[0]?.name).toBe('Petrel');
  });
});
