/** @jest-environment jsdom */
import { act, renderHook, waitFor, type RenderHookResult } from '@testing-library/react';
import { FakeServer } from '../testing/fakeServer';
import { InApp } from '../testing/inApp';
import { useRowDraft } from './useRowDraft';

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
let hook: RenderHookResult<ReturnType<typeof useRowDraft<Boat>>, unknown>;

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
  hook = renderHook(() => useRowDraft('/api/boats', kept), { wrapper: InApp });
});
afterEach(() => {
  hook.unmount();
  jest.useRealTimers();
});

const draft = () => hook.result.current;
const change = (changes: Partial<Boat>): void => act(() => draft().change(changes));
const pass = (ms: number): Promise<void> => act(() => jest.advanceTimersByTimeAsync(ms));

describe('a row edited in place', () => {
  it('shows what is typed at once, and saves it a moment after the last letter, in one go', async () => {
    for (const name of ['K', 'Kit', 'Kittiwake II']) change({ name });
    change({ mooring: '14' });
    expect(draft().row).toMatchObject({ name: 'Kittiwake II', mooring: '14' });
    expect(draft().saving.type).toBe('saving');
    expect(server.changes).toEqual([]);
    await pass(400);
    expect(server.changes).toEqual([
      { method: 'PATCH', path, body: { name: 'Kittiwake II', mooring: '14', revision: 3 } },
    ]);
    expect(draft().saving).toEqual({ type: 'saved' });
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

  it('says that the server does not answer, and keeps what was typed', async () => {
    server.goes(true);
    change({ name: 'Petrel' });
    await pass(400);
    expect(draft().saving).toMatchObject({ type: 'refused', says: expect.stringContaining('does not answer') });
    expect(draft().row.name).toBe('Petrel');
  });

  it('saves at once what is not saved yet when the page or the row is left', async () => {
    change({ name: 'Petrel' });
    act(() => void window.dispatchEvent(new Event('pagehide')));
    await pass(0);
    expect(row.name).toBe('Petrel');
    change({ mooring: '1' });
    hook.unmount();
    await jest.advanceTimersByTimeAsync(0);
    expect(row.mooring).toBe('1');
  });
});

describe('a row that another window has saved meanwhile', () => {
  beforeEach(async () => {
    row = { ...row, name: 'Their name', revision: 8 };
    change({ name: 'My name' });
    await pass(400);
  });

  it('is told so, and saves nothing more until somebody has chosen', async () => {
    expect(draft().saving).toEqual({ type: 'stale', revision: 8, says: 'It was changed in another window.' });
    const asked = server.changes.length;
    change({ mooring: '2' });
    await pass(5000);
    expect(server.changes).toHaveLength(asked);
    expect(draft().row).toMatchObject({ name: 'My name', mooring: '2' });
  });

  it('is saved over theirs when mine is kept', async () => {
    act(() => draft().keepMine());
    await pass(0);
    expect(row).toMatchObject({ name: 'My name', revision: 9 });
    expect(draft().saving).toEqual({ type: 'saved' });
  });

  it('shows theirs when that is taken, and goes on from there', async () => {
    act(() => draft().takeTheirs());
    expect(draft().row.name).toBe(kept.name);
    expect(draft().saving).toEqual({ type: 'saved' });
    change({ mooring: '5' });
    await pass(400);
    expect(row).toMatchObject({ name: 'Their name', mooring: '5', revision: 9 });
  });
});

describe('the list a row is in', () => {
  it('is read again once the row was saved', async () => {
    change({ name: 'Petrel' });
    await pass(400);
    jest.useRealTimers();
    await waitFor(() => expect(draft().saving).toEqual({ type: 'saved' }));
    expect(row.name).toBe('Petrel');
  });
});
