/** A worker that tells what a spec has it tell. */
export class FakeWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  asked: unknown;
  isOver = false;

  /** As whoever starts one takes it. */
  get asWorker(): Worker {
    return this as unknown as Worker;
  }

  postMessage(asked: unknown): void {
    this.asked = asked;
  }

  terminate(): void {
    this.isOver = true;
  }
}
