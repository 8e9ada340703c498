import type { PlayedHour, Trial, Tried } from '@locutor/core/whatIf';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { WhatIfAsked, WhatIfTold } from './whatIf.worker';

/** How far the trial of a plan is. */
export type Trying =
  | { readonly type: 'nothing' }
  | { readonly type: 'running'; readonly done: number; readonly of: number }
  | { readonly type: 'tried'; readonly tried: Tried }
  | { readonly type: 'failed'; readonly message: string };

const start = (): Worker => new Worker(new URL('./whatIf.worker.ts', import.meta.url), { type: 'module' });

/** Tries plans in a worker, one at a time; a new one, or leaving the page, ends the one before. */
export function useTrial(makeWorker: () => Worker = start) {
  const [trying, setTrying] = useState<Trying>({ type: 'nothing' });
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => stop, [stop]);
  const cancel = useCallback(() => {
    stop();
    setTrying({ type: 'nothing' });
  }, [stop]);
  const begin = useCallback(
    (trial: Trial) => {
      stop();
      setTrying({ type: 'running', done: 0, of: trial.runs });
      const own = makeWorker();
      worker.current = own;
      own.onmessage = ({ data }: MessageEvent<WhatIfTold>) => {
        if (data.type === 'done') setTrying({ type: 'running', done: data.runs, of: trial.runs });
        if (data.type === 'tried') setTrying({ type: 'tried', tried: data.tried });
        if (data.type === 'failed') setTrying({ type: 'failed', message: data.message });
        if (data.type !== 'done') stop();
      };
      own.onerror = (event) => {
        stop();
        setTrying({ type: 'failed', message: event.message });
      };
      own.postMessage({ type: 'plan', trial } satisfies WhatIfAsked);
    },
    [stop, makeWorker],
  );
  return { trying, begin, cancel };
}

/** Plays an hour of a queue in a worker; undefined until it was, and of nothing. */
export function usePlayedHour(asked: Extract<WhatIfAsked, { type: 'hour' }> | undefined): PlayedHour | undefined {
  const [played, setPlayed] = useState<{ readonly of: unknown; readonly is: PlayedHour }>();
  useEffect(() => {
    if (!asked) return undefined;
    const worker = start();
    worker.onmessage = ({ data }: MessageEvent<WhatIfTold>) => {
      if (data.type === 'hour') setPlayed({ of: asked, is: data.played });
      worker.terminate();
    };
    worker.postMessage(asked);
    return () => worker.terminate();
  }, [asked]);
  return played?.of === asked ? played?.is : undefined;
}
