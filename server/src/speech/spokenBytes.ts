import { phoneRateHz } from '@locutor/core/audio';

/** A WAV file's head and its chunk of samples (RIFF). */
const headBytes = 58;

/** How large the file of a spoken sentence is: G.711, a byte a sample. */
export function spokenBytes(lengthMs: number): number {
  return headBytes + Math.ceil((lengthMs * phoneRateHz) / 1000);
}
