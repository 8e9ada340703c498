import { everyPath, type EveryPath } from '@locutor/core/paths';
import type { CallScript } from '@locutor/core/call';

export interface PathsAsked {
  readonly script: CallScript;
  readonly fromMs: number;
}

/** Finds every path of an attendant. */
self.onmessage = ({ data }: MessageEvent<PathsAsked>): void => {
  const found: EveryPath = everyPath(data.script, data.fromMs);
  self.postMessage(found);
};
