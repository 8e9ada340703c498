import { proof, type Finding, type ProofSubject } from '@locutor/core/proof';
import { keepSame } from '@locutor/core/merging';
import { handOver, takeOver } from './handover';
import type { ProofAsked, ProofOf, ProofTold } from './proofReader';

/** What was read last and found in it: of what did not change nothing is reckoned or told again. */
const last = new Map<ProofOf, { readonly subject: ProofSubject; readonly findings: readonly Finding[] }>();

globalThis.onmessage = ({ data }: MessageEvent<ProofAsked>) => {
  const { of } = data;
  const before = last.get(of);
  const subject = keepSame<ProofSubject>(before?.subject, takeOver(before?.subject, data.subject) as ProofSubject);
  const findings = keepSame<readonly Finding[]>(before?.findings, proof(subject));
  last.set(of, { subject, findings });
  globalThis.postMessage({ of, findings: handOver(before?.findings, findings) } satisfies ProofTold);
};
