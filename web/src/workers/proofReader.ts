import { proof, type Finding, type ProofSubject } from '@locutor/core/proof';
import { handOver, takeOver, type Handover } from './handover';

/** What is read: the draft as it is typed, or what callers hear now. */
export type ProofOf = 'draft' | 'air';

export interface ProofAsked {
  readonly of: ProofOf;
  /** After the subject asked for last. */
  readonly subject: Handover;
}

export interface ProofTold {
  readonly of: ProofOf;
  /** After the findings told last. */
  readonly findings: Handover;
}

const none: readonly Finding[] = [];

/**
 * Has the proof read in a worker, so that typing never waits for it. One thing is read at a time; what comes meanwhile
 * waits, and of that only the last. Findings stay until there are newer ones.
 */
export class ProofReader {
  private readonly found = new Map<ProofOf, readonly Finding[]>();
  private readonly asked = new Map<ProofOf, ProofSubject>();
  /** What the worker was given last, and told last. */
  private readonly handed = new Map<ProofOf, ProofSubject>();
  private readonly told = new Map<ProofOf, readonly Finding[]>();
  private readonly waiting = new Map<ProofOf, ProofSubject>();
  private readonly listeners = new Set<() => void>();
  private worker: Worker | null = null;
  private isReading = false;

  /** @param start a worker; null where there are none, as in specs: then it is read at once */
  constructor(private readonly start: (() => Worker) | null) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  findings(of: ProofOf): readonly Finding[] {
    return this.found.get(of) ?? none;
  }

  /** Asked again with the same parts, as several screens do, it is not read again. */
  read(of: ProofOf, subject: ProofSubject): void {
    const before = this.asked.get(of);
    const names = Object.keys(subject) as (keyof ProofSubject)[];
    if (before && names.every((name) => before[name] === subject[name])) return;
    this.asked.set(of, subject);
    if (!this.start) return this.take(of, proof(subject));
    this.waiting.set(of, subject);
    this.next();
  }

  private next(): void {
    const [first] = this.waiting;
    if (this.isReading || !first || !this.start) return;
    const [of, subject] = first;
    this.waiting.delete(of);
    this.isReading = true;
    this.worker ??= this.begin(this.start());
    this.worker.postMessage({ of, subject: handOver(this.handed.get(of), subject) } satisfies ProofAsked);
    this.handed.set(of, subject);
  }

  private begin(worker: Worker): Worker {
    worker.onmessage = ({ data }: MessageEvent<ProofTold>) => {
      this.isReading = false;
      const findings = takeOver(this.told.get(data.of), data.findings) as readonly Finding[];
      this.told.set(data.of, findings);
      this.take(data.of, findings);
      this.next();
    };
    worker.onerror = () => {
      // It is read anew from the next edit on.
      worker.terminate();
      this.worker = null;
      this.isReading = false;
      this.asked.clear();
      this.handed.clear();
      this.told.clear();
    };
    return worker;
  }

  private take(of: ProofOf, findings: readonly Finding[]): void {
    if (this.found.get(of) === findings) return;
    this.found.set(of, findings);
    for (const listener of this.listeners) listener();
  }
}
