import type { Switch, SwitchTo } from '@locutor/core/hours';
import type { Line } from '@locutor/core/line';
import { useCallback } from 'react';
import useSWR from 'swr';
import { api } from '../api/client';

export interface KeptSwitch extends Switch {
  readonly id: number;
  readonly endedAt: number | null;
  readonly endedBy: string;
}

interface SwitchState {
  readonly switched: KeptSwitch | null;
  readonly past: readonly KeptSwitch[];
}

export interface NewSwitch {
  readonly to: SwitchTo;
  readonly untilMs: number;
  readonly words: string;
  readonly by: string;
}

const pathOf = ({ id }: Pick<Line, 'id'>): string => `/api/lines/${id}/switch`;
const everyMs = 10_000;

/** The switch of a line as the server has it; others may set it too. */
export function useSwitchState(line: Pick<Line, 'id'>) {
  return useSWR<SwitchState>(pathOf(line), api, { refreshInterval: everyMs });
}

/** How to set the switch and to end it. Both throw an ApiProblem when that cannot be. */
export function useSwitchDoors(line: Pick<Line, 'id'>) {
  const { data, mutate } = useSwitchState(line);
  const replaces = data?.switched?.id ?? null;
  const path = pathOf(line);
  const set = useCallback(
    async (wanted: NewSwitch) => {
      try {
        const asked = api<SwitchState>(path, { method: 'PUT', body: { ...wanted, replaces } });
        await mutate(await asked, { revalidate: false });
      } catch (error) {
        await mutate();
        throw error;
      }
    },
    [path, replaces, mutate],
  );
  const end = useCallback(
    async (by: string) => {
      await mutate(await api<SwitchState>(`${path}/end`, { method: 'POST', body: { by } }), { revalidate: false });
    },
    [path, mutate],
  );
  return { set, end };
}
