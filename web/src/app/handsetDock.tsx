import { createContext, useContext, useState, type ReactNode } from 'react';

interface Dock {
  readonly isOpen: boolean;
  readonly setOpen: (open: boolean) => void;
}

const Context = createContext<Dock>({ isOpen: false, setOpen: () => undefined });

/** Whether the handset is docked at the right; anything may open it. */
export function HandsetDock({ children }: { readonly children: ReactNode }) {
  const [isOpen, setOpen] = useState(() => window.innerWidth >= 1200);
  return <Context value={{ isOpen, setOpen }}>{children}</Context>;
}

export const useHandsetDock = (): Dock => useContext(Context);
