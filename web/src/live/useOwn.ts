import { useEffect, useMemo } from 'react';

interface Opened {
  open(): void;
  close(): void;
}

/** Something that is opened for a component and closed with it; another one when the key is another one. */
export function useOwn<Thing extends Opened>(key: string, make: () => Thing): Thing {
  // What makes it is made anew at each render; the key says when another one is meant.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const thing = useMemo(() => make(), [key]);
  useEffect(() => {
    thing.open();
    return () => thing.close();
  }, [thing]);
  return thing;
}
