import { useEffect } from 'react';
import { useSWRConfig } from 'swr';
import { LineSocket } from '../live/lineSocket';
import { useSavers } from './savers';

/** As the server tells it: what of the API answers otherwise, and the revision that was made, where that is known. */
interface Changed {
  readonly type: 'changed';
  readonly changes: readonly { readonly path: string; readonly revision: number | null }[];
}

/**
 * Keeps what this window shows at what the server has, whoever changed it. When the connection was lost everything is
 * read again, since nobody knows what was missed; what was not saved is tried again at once.
 */
export function useServerChanges(): void {
  const { mutate } = useSWRConfig();
  const savers = useSavers();
  useEffect(() => {
    let wasOpen = false;
    const socket = new LineSocket<never, Changed>('changes', {
      onMessage: ({ changes }) => {
        const stale = changes.map(({ path, revision }) => ({ pattern: patternOf(path), revision }));
        void mutate(
          (key) => typeof key === 'string' && stale.some((each) => concerns(each, key, savers.revisionAt(key))),
        );
      },
      onOpen: () => {
        if (wasOpen) void mutate((key) => typeof key === 'string' && key.startsWith('/api/'));
        if (wasOpen) savers.tryAgain();
        wasOpen = true;
      },
    });
    socket.open();
    return () => socket.close();
  }, [mutate, savers]);
}

interface Stale {
  readonly pattern: RegExp;
  readonly revision: number | null;
}

/** Whether an address is to be read again; not what this window has saved itself. */
function concerns({ pattern, revision }: Stale, key: string, here: number | undefined): boolean {
  const isKnown = revision !== null && here !== undefined && here >= revision;
  return pattern.test(key) && !isKnown;
}

function patternOf(path: string): RegExp {
  const parts = path.split('*').map((part) => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  return new RegExp(`^${parts.join('[^/]+')}(?=[/?]|$)`);
}
