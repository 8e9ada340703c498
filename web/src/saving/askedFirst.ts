import { api, ApiProblem, type Break } from '../api/client';

/** A change that was not made: callers would have noticed, and somebody said no. */
export class LeftAsItWas extends Error {
  constructor() {
    super('Nothing was changed: callers hear what they heard before.');
  }
}

interface Question {
  readonly breaks: readonly Break[];
  readonly answer: (isYes: boolean) => void;
}

/** What is being asked, one question after the other. */
let questions: readonly Question[] = [];
const listeners = new Set<() => void>();

export function subscribeToQuestions(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What is to be answered next; null where nothing is. */
export const nextQuestion = (): Question | null => questions[0] ?? null;

/** Asks somebody whether callers may notice this; the answer is theirs. */
function ask(breaks: readonly Break[]): Promise<boolean> {
  return new Promise((resolve) => {
    const question: Question = {
      breaks,
      answer: (isYes) => {
        set(questions.filter((each) => each !== question));
        resolve(isYes);
      },
    };
    set([...questions, question]);
  });
}

function set(next: readonly Question[]): void {
  questions = next;
  for (const listener of listeners) listener();
}

/**
 * Changes something of the directory, hours or a line by the API; where that would break what callers hear now, only
 * once somebody has said yes. @throws LeftAsItWas after a no, ApiProblem otherwise.
 */
export async function askedFirst<Answer>(path: string, init: { method: string; body?: unknown }): Promise<Answer> {
  try {
    return await api<Answer>(path, { ...init, isStrict: true });
  } catch (error) {
    if (!(error instanceof ApiProblem) || !error.breaks) throw error;
    if (!(await ask(error.breaks))) throw new LeftAsItWas();
    return api<Answer>(path, init);
  }
}
