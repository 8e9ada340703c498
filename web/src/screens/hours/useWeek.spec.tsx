/** @jest-environment jsdom */
import { act, fireEvent, renderHook, screen, waitFor, type RenderHookResult } from '@testing-library/react';
import { hoursId, periodId, type Hours } from '@locutor/core/hours';
import useSWR from 'swr';
import { api } from '../../api/client';
import type { KeptHours } from '../../api/resources';
import { Notices } from '../../parts/notices';
import { FakeServer } from '../../testing/fakeServer';
import { InApp } from '../../testing/inApp';
import { useWeek } from './useWeek';

const open = periodId.create('open');
const id = hoursId.create('main');
const path = `/api/hours/${id}`;
const first: KeptHours = {
  id,
  name: 'Business hours',
  periods: [{ id: open, name: 'Open' }],
  week: [{ periodId: open, day: 1, startMin: 480, endMin: 1020 }],
  datedWeeks: [],
  seasons: [],
  special: [],
  revision: 1,
};
const until = (endMin: number): Hours => ({ ...first, week: [{ periodId: open, day: 1, startMin: 480, endMin }] });

let server: FakeServer;
let kept: KeptHours;
/** What holds an answer of the server back, until the spec lets it go. */
let held: Promise<void>;
let hook: RenderHookResult<ReturnType<typeof useWeek>, unknown>;

beforeEach(async () => {
  localStorage.clear();
  kept = first;
  held = Promise.resolve();
  server = new FakeServer()
    .on('GET', '/api/hours', () => ({ body: [kept] }))
    .on('GET', path, () => ({ body: kept }))
    .on('PUT', path, async ({ body }) => {
      await held;
      const { revision, ...sent } = body as KeptHours;
      if (revision !== kept.revision) {
        const detail = 'The hours were changed in another window.';
        return { status: 409, body: { detail, revision: kept.revision } };
      }
      kept = { ...kept, ...sent, revision: revision + 1 };
      return { body: kept };
    });
  const wrapper = ({ children }: { readonly children: React.ReactNode }) => (
    <InApp>
      {children}
      <Notices />
    </InApp>
  );
  // As on the screen: what is shown is what the cache holds.
  hook = renderHook(() => useWeek(useSWR<KeptHours>(path, api).data ?? first), { wrapper });
  await waitFor(() => expect(server.asked).toHaveLength(1));
});

const ends = (): number | undefined => hook.result.current.hours.week[0]?.endMin;
const change = (next: Hours): Promise<boolean> => act(() => hook.result.current.change(next));

describe('the week', () => {
  it('shows a change before the server has it, and keeps it', async () => {
    let letGo: () => void = () => undefined;
    held = new Promise((resolve) => (letGo = resolve));
    let changing: Promise<boolean> = Promise.resolve(false);
    act(() => void (changing = hook.result.current.change(until(1080))));
    await waitFor(() => expect(ends()).toBe(1080));
    expect(kept.revision).toBe(1);
    await act(async () => {
      letGo();
      expect(await changing).toBe(true);
    });
    expect(kept).toMatchObject({ revision: 2, week: [{ endMin: 1080 }] });
  });

  it('saves one after the other, each from the revision before, and the last in the end', async () => {
    await act(() => Promise.all([1060, 1070, 1080].map((end) => hook.result.current.change(until(end)))));
    const saves = server.changes.map(({ body }) => body as KeptHours);
    expect(saves.map(({ revision }) => revision)).toEqual(saves.map((_, index) => index + 1));
    expect([ends(), kept.week[0]?.endMin]).toEqual([1080, 1080]);
  });

  it('undoes and does again, and forgets what was undone at the next change', async () => {
    expect([hook.result.current.undo, hook.result.current.redo]).toEqual([null, null]);
    await change(until(1080));
    await change(until(1100));
    act(() => hook.result.current.undo?.());
    await waitFor(() => expect(kept.week[0]?.endMin).toBe(1080));
    expect(ends()).toBe(1080);
    act(() => hook.result.current.redo?.());
    await waitFor(() => expect(kept.week[0]?.endMin).toBe(1100));
    act(() => hook.result.current.undo?.());
    await waitFor(() => expect(kept.week[0]?.endMin).toBe(1080));
    await change(until(1200));
    expect(hook.result.current.redo).toBeNull();
    act(() => hook.result.current.undo?.());
    await waitFor(() => expect(ends()).toBe(1080));
    act(() => hook.result.current.undo?.());
    await waitFor(() => expect(ends()).toBe(1020));
    expect(hook.result.current.undo).toBeNull();
  });

  it('takes a refused change back, says why, and does not offer to undo it', async () => {
    server.on('PUT', path, { status: 422, body: { detail: 'Open ends before it starts.' } });
    expect(await change(until(10))).toBe(false);
    await waitFor(() => expect(ends()).toBe(1020));
    expect(await screen.findByText('Open ends before it starts.')).toBeTruthy();
    expect(hook.result.current.undo).toBeNull();
  });

  it('loses nothing of another window’s while quick changes follow here on a slow network', async () => {
    let letGo = (): void => undefined;
    held = new Promise((resolve) => (letGo = resolve));
    const changing: Promise<boolean>[] = [];
    act(() => void changing.push(hook.result.current.change(until(1060))));
    await waitFor(() => expect(server.changes).toHaveLength(1));
    const sunday = { periodId: open, day: 7 as const, startMin: 600, endMin: 720 };
    kept = { ...kept, week: [...kept.week, sunday], revision: kept.revision + 1 };
    act(() => void changing.push(hook.result.current.change(until(1070)), hook.result.current.change(until(1080))));
    await act(async () => {
      letGo();
      await Promise.all(changing);
    });
    await waitFor(() => expect(kept.week).toEqual([...until(1080).week, sunday]));
    expect(hook.result.current.hours.week).toEqual(kept.week);
  });

  it('has both changes when another window was first, and says so with a way back', async () => {
    kept = { ...kept, name: 'Winter hours', revision: 6 };
    await change(until(1080));
    await waitFor(() => expect(kept).toMatchObject({ name: 'Winter hours', revision: 7, week: [{ endMin: 1080 }] }));
    expect(hook.result.current.hours.name).toBe('Winter hours');
    const [latest] = await screen.findAllByRole('button', { name: 'Undo the other change' });
    fireEvent.click(latest as HTMLElement);
    await waitFor(() => expect(kept).toMatchObject({ name: 'Business hours', week: [{ endMin: 1080 }] }));
  });

  it('undoes only what was done here', async () => {
    await change(until(1080));
    kept = { ...kept, name: 'Winter hours', revision: kept.revision + 1 };
    await change(until(1100));
    await waitFor(() => expect(kept.week[0]?.endMin).toBe(1100));
    for (const end of [1080, 1020]) {
      act(() => hook.result.current.undo?.());
      await waitFor(() => expect(kept).toMatchObject({ name: 'Winter hours', week: [{ endMin: end }] }));
    }
  });
});
