/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import useSWR from 'swr';
import { api } from '../api/client';
import { FakeServer } from '../testing/fakeServer';
import { FakeSocket } from '../testing/fakeSocket';
import { InApp } from '../testing/inApp';
import { useRowDraft } from './useRowDraft';
import { useServerChanges } from './useServerChanges';

const noor = { id: 'person:noor', revision: 1, name: 'Noor' };
let people: readonly (typeof noor)[];
let server: FakeServer;
const asked = (path: string): number => server.asked.filter((each) => each.path === path).length;
const says = (path: string, revision: number | null = null): void =>
  act(() => FakeSocket.latest().says({ type: 'changed', changes: [{ path, revision }] }));

function open() {
  const use = () => {
    useServerChanges();
    const list = useSWR<typeof people>('/api/people', api).data ?? [];
    const draft = useSWR<object>('/api/lines/line:a/draft', api).data;
    return { draft, name: useRowDraft('/api/people', list[0] ?? noor) };
  };
  return renderHook(use, { wrapper: InApp });
}
let hook: ReturnType<typeof open>;

beforeEach(async () => {
  localStorage.clear();
  FakeSocket.install();
  people = [noor];
  server = new FakeServer()
    .on('GET', '/api/people', () => ({ body: people }))
    .on('GET', '/api/lines/line:a/draft', { body: {} });
  hook = open();
  await waitFor(() => expect(hook.result.current.draft).toBeDefined());
  act(() => FakeSocket.latest().opens());
});

describe('a window that hears of changes', () => {
  it('shows what somebody else has changed', async () => {
    people = [{ ...noor, name: 'Noor Wells', revision: 2 }];
    says('/api/people', 2);
    await waitFor(() => expect(hook.result.current.name.row.name).toBe('Noor Wells'));
  });

  it('reads again what the pattern fits, and nothing else', async () => {
    says('/api/lines/*/draft');
    await waitFor(() => expect(asked('/api/lines/line:a/draft')).toBe(2));
    says('/api/peop');
    says('/api/lines/*/switch');
    says('/api/people');
    await waitFor(() => expect(asked('/api/people')).toBe(2));
    expect(asked('/api/lines/line:a/draft')).toBe(2);
  });

  it('reads everything again once the connection is back, and tries again what was not saved', async () => {
    jest.useFakeTimers();
    server.goes(true);
    act(() => hook.result.current.name.change({ name: 'Noor Wells' }));
    await act(() => jest.advanceTimersByTimeAsync(10_000));
    expect(hook.result.current.name.saving.type).toBe('unreachable');
    server.goes(false);
    server.on('PATCH', '/api/people/person:noor', () => {
      people = [{ ...noor, name: 'Noor Wells', revision: 2 }];
      return { body: people[0] };
    });
    act(() => FakeSocket.latest().close());
    await act(() => jest.advanceTimersByTimeAsync(1000));
    const before = asked('/api/lines/line:a/draft');
    await act(async () => {
      FakeSocket.latest().opens();
      await jest.advanceTimersByTimeAsync(10);
    });
    expect(hook.result.current.name.saving.type).toBe('saved');
    expect(asked('/api/lines/line:a/draft')).toBe(before + 1);
    jest.useRealTimers();
  });
});
