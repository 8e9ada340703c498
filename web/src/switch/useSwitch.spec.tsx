/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import { lineId } from '@locutor/core/line';
import { FakeServer } from '../testing/fakeServer';
import { InApp } from '../testing/inApp';
import { useSwitchDoors, useSwitchState, type KeptSwitch, type NewSwitch } from './useSwitch';

const line = { id: lineId.create('main') };
const path = `/api/lines/${line.id}/switch`;
const set = (id: number, by: string): KeptSwitch => ({
  ...{ id, by, to: { type: 'closed' }, fromMs: 1, untilMs: 2, words: '' },
  ...{ endedAt: null, endedBy: '' },
});
const wanted: NewSwitch = { to: { type: 'closed' }, untilMs: 2, words: 'Closed early.', by: 'Noor' };

let server: FakeServer;
let now: { switched: KeptSwitch | null; past: readonly KeptSwitch[] };

const renderSwitch = async () => {
  const { result } = renderHook(() => ({ state: useSwitchState(line).data, doors: useSwitchDoors(line) }), {
    wrapper: InApp,
  });
  await waitFor(() => expect(result.current.state).toEqual(now));
  return result;
};

beforeEach(() => {
  now = { switched: null, past: [] };
  server = new FakeServer().on('GET', path, () => ({ body: now }));
});

describe('the switch', () => {
  it('shows what was set as soon as the server has it, without asking again', async () => {
    const result = await renderSwitch();
    server.on('PUT', path, ({ body }) => {
      expect(body).toEqual({ ...wanted, replaces: null });
      return { body: { switched: set(7, 'Noor'), past: [] } };
    });
    const asked = server.asked.length;
    await act(() => result.current.doors.set(wanted));
    expect(result.current.state?.switched?.id).toBe(7);
    expect(server.asked.slice(asked).map(({ method }) => method)).toEqual(['PUT']);
  });

  it('says which one it replaces', async () => {
    now = { switched: set(3, 'Effie'), past: [] };
    const result = await renderSwitch();
    server.on('PUT', path, { body: { switched: set(4, 'Noor'), past: [set(3, 'Effie')] } });
    await act(() => result.current.doors.set(wanted));
    expect(server.changes[0]?.body).toMatchObject({ replaces: 3 });
  });

  it('shows what somebody else has set meanwhile when it is refused, and hands the refusal on', async () => {
    const result = await renderSwitch();
    server.on('PUT', path, { status: 409, body: { detail: 'Effie has set the switch meanwhile.' } });
    now = { switched: set(5, 'Effie'), past: [] };
    await act(async () => {
      await expect(result.current.doors.set(wanted)).rejects.toThrow('Effie has set the switch meanwhile.');
    });
    await waitFor(() => expect(result.current.state?.switched?.by).toBe('Effie'));
  });

  it('is ended by whoever says so', async () => {
    now = { switched: set(3, 'Effie'), past: [] };
    const result = await renderSwitch();
    server.on('POST', `${path}/end`, { body: { switched: null, past: [set(3, 'Effie')] } });
    await act(() => result.current.doors.end('Priya'));
    expect(server.changes[0]?.body).toEqual({ by: 'Priya' });
    expect(result.current.state).toEqual({ switched: null, past: [set(3, 'Effie')] });
  });
});
