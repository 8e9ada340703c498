import { proof, type ProofSubject } from '@locutor/core/proof';
import { keepSame } from '@locutor/core/merging';
import type { ProofAsked, ProofTold } from './proofReader';

/** What was read last: of what did not change nothing is reckoned again. */
const last = new Map<string, ProofSubject>();

globalThis.onmessage = ({ data: { of, subject } }: MessageEvent<ProofAsked>) => {
  const kept = keepSame(last.get(of), subject);
  last.set(of, kept);
  globalThis.postMessage({ of, findings: proof(kept) } satisfies ProofTold);
};
