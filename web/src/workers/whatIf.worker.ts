import type { PlayedHour, Trial, Tried } from '@locutor/core/whatIf';
import { playHour, tryPlan } from '@locutor/core/whatIf';
import type { Demand } from '@locutor/core/traffic';
import type { CallScript } from '@locutor/core/call';

export type WhatIfAsked =
  | { readonly type: 'plan'; readonly trial: Trial }
  | {
      readonly type: 'hour';
      readonly script: CallScript;
      readonly demand: Demand;
      readonly members: number;
      readonly withinS: number;
    };

export type WhatIfTold =
  | { readonly type: 'done'; readonly runs: number }
  | { readonly type: 'tried'; readonly tried: Tried }
  | { readonly type: 'hour'; readonly played: PlayedHour }
  | { readonly type: 'failed'; readonly message: string };

const hoursPlayed = 200;
const seed = 1;

/** Tries a plan run after run and tells how far it is, or plays an hour of a queue. */
self.onmessage = ({ data }: MessageEvent<WhatIfAsked>): void => {
  try {
    tell(data.type === 'plan' ? { type: 'tried', tried: runs(data.trial) } : hour(data));
  } catch (error) {
    tell({ type: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
};

function runs(trial: Trial): Tried {
  const trying = tryPlan(trial);
  for (;;) {
    const next = trying.next();
    if (next.done) return next.value;
    tell({ type: 'done', runs: next.value });
  }
}

function hour({ script, demand, members, withinS }: Extract<WhatIfAsked, { type: 'hour' }>): WhatIfTold {
  return { type: 'hour', played: playHour(script, demand, members, withinS, hoursPlayed, seed) };
}

function tell(told: WhatIfTold): void {
  self.postMessage(told);
}
