import { useEffect, useState } from 'react';

/**
 * The time of the browser's clock in ms since 1970, renewed every so many ms. `notBefore` is when something happened that
 * is to be seen at once: a moment that was read before it would show what was so then.
 */
export function useNow(everyMs: number, notBefore = 0): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return Math.max(now, notBefore);
}
