import { useEffect, useState } from 'react';

/** Who types on asks for nothing yet. */
const settledMs = 250;

/**
 * What a worker makes of something, always of the last thing it was asked: work on an earlier one is given up. What was
 * made before stays until the new one is there; undefined until the first is, and again once nothing is asked.
 */
export function useWorker<Asked, Made>(start: () => Worker, asked: Asked | undefined): Made | undefined {
  const [made, setMade] = useState<Made>();
  // Whoever asks again later must not see what was so before.
  if (asked === undefined && made !== undefined) setMade(undefined);
  useEffect(() => {
    if (asked === undefined) return undefined;
    let worker: Worker | null = null;
    const timer = setTimeout(() => {
      worker = start();
      worker.onmessage = ({ data }: MessageEvent<Made>) => {
        setMade(data);
        worker?.terminate();
      };
      worker.onerror = (event) => console.error('The worker failed:', event.message);
      worker.postMessage(asked);
    }, settledMs);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [start, asked]);
  return made;
}

export const pathsWorker = (): Worker => new Worker(new URL('./paths.worker.ts', import.meta.url), { type: 'module' });
export const rehearsalsWorker = (): Worker =>
  new Worker(new URL('./rehearsals.worker.ts', import.meta.url), { type: 'module' });
