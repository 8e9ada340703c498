import type { TakeSays, TakeVerdict } from '../line';
import { expectedSentences } from './expected';
import { tokensOf } from './tokens';

/** What follows from the manager's answer to what a recording says. */
export function answered(says: TakeSays, answer: string): TakeVerdict {
  const expected = expectedSentences(says).join(' ');
  if (soundOf(expected) === soundOf(answer)) return { type: 'right', by: 'manager' };
  return { type: 'other', by: 'manager', parts: [{ text: answer.trim(), insteadOf: expected }] };
}

/** What sounds the same reads the same: letters and digits count, numbers however they are written. */
function soundOf(text: string): string {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.map((word) => tokensOf(word)[0]?.ways[0]?.join(' ') ?? word).join(' ');
}
