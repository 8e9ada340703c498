import { dayPlan, wallTime, type Answer } from '../hours';
import type { LineScript } from './script';

/**
 * What callers hear before anything else: the words of the switch, else those of the special date that it is. Callers
 * of a list with an answer of their own hear nothing of either; nor of the date while the switch is on, which may be
 * the very opposite.
 */
export function wordsFirst({ hours, timeZone, switched }: LineScript, answer: Answer, atMs: number): string {
  switch (answer.type) {
    case 'callers':
      return '';
    case 'switch':
      return switched?.words ?? '';
    default:
      return dayPlan(hours, wallTime(timeZone, atMs).day).special?.words ?? '';
  }
}
