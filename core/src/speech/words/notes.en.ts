import type { LivePart } from '../../line';
import type { Advice } from '../advice';
import { comfortableMs, comfortableOptions } from '../advice';
import type { OutOfStep } from '../inStep';

/** What a recording says that is no longer so, in the manager's words. */
export function describeOutOfStep(difference: OutOfStep): string {
  switch (difference.type) {
    case 'key':
      return difference.isNow === null
        ? `Says press ${difference.key} ${whatFor(difference.says)}; ${difference.key} has no use now.`
        : `Says press ${difference.key} ${whatFor(difference.says)}; ${difference.key} is now ${difference.isNow}.`;
    case 'keyMissing':
      return `Does not say press ${difference.key} ${whatFor(difference.isNow)}.`;
    case 'order':
      return 'Reads the options in another order than they stand.';
    case 'live':
      return `Says ${partNames[difference.part.type]} “${difference.says}”; now it is “${difference.isNow || 'nothing'}”.`;
    case 'words':
      return 'Its words were changed since it was recorded.';
  }
}

/** A label as it is said: some begin with "to" or "for" themselves. */
function whatFor(label: string): string {
  return /^(to|for)\s/i.test(label) ? label : `for ${label}`;
}

const partNames: Readonly<Record<LivePart['type'], string>> = {
  options: 'the options',
  business: 'the business’s name',
  today: 'today’s hours',
  week: 'the hours',
  opens: 'the next opening',
  special: 'the special date',
  name: 'the name',
  extension: 'the extension',
};

/** What could be better, and why, in the manager's words. */
export function describeAdvice(advice: Advice): string {
  switch (advice.type) {
    case 'long':
      return `${Math.round(advice.ms / 1000)} s to listen to; most callers give up or press something after ${comfortableMs / 1000} s.`;
    case 'manyOptions':
      return `${advice.count} options; people keep about ${comfortableOptions} in mind. Move some to a further menu.`;
    case 'keyBeforeOption':
      return `“${advice.words.trim()}” names the key first. Say what it is for, then the key: callers listen for what they want.`;
    case 'keyInWords':
      return `“${advice.words.trim()}” is written out. Make it a key’s row, so that it follows when the key changes.`;
  }
}
