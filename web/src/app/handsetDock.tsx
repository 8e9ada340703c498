import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { WholeVersion } from '../api/resources';

interface Dock {
  readonly isOpen: boolean;
  readonly setOpen: (open: boolean) => void;
  /** An earlier version that can be called as it was; null for none. */
  readonly version: WholeVersion | null;
  /** Opens the handset to call a version as it was. */
  readonly openFor: (version: WholeVersion) => void;
}

const nothing = (): void => undefined;
const Context = createContext<Dock>({ isOpen: false, setOpen: nothing, version: null, openFor: nothing });

/** Whether the handset is docked at the right; anything may open it. */
export function HandsetDock({ children }: { readonly children: ReactNode }) {
  const [isOpen, setOpen] = useState(() => window.innerWidth >= 1200);
  const [version, setVersion] = useState<WholeVersion | null>(null);
  const dock = useMemo(
    () => ({
      isOpen,
      setOpen,
      version,
      openFor: (wanted: WholeVersion) => {
        setVersion(wanted);
        setOpen(true);
      },
    }),
    [isOpen, version],
  );
  return <Context value={dock}>{children}</Context>;
}

export const useHandsetDock = (): Dock => useContext(Context);
