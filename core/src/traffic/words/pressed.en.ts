import type { SheetPresses } from '../pressed';
import { isKeyChoice } from '../pressed';
import { percent } from './when.en';

/** Fewer than this tell nothing of what callers want. */
const fewVisits = 20;

/**
 * What callers did in a menu, in a sentence.
 * @param labelOf what a key is said to be for; undefined for one that has no use any more
 * @param unused keys that nobody pressed
 */
export function describePressed(
  { visits, choices }: SheetPresses,
  labelOf: (key: string) => string | undefined,
  unused: readonly string[],
): string {
  if (visits < fewVisits) return `${visits} ${visits === 1 ? 'visit' : 'visits'}: too few to tell what callers want.`;
  const [first, second] = choices.filter(({ choice }) => isKeyChoice(choice));
  const hungUp = choices.find(({ choice }) => choice === 'hungUp')?.visits ?? 0;
  const nothing = choices.find(({ choice }) => choice === 'nothing')?.visits ?? 0;
  const said = (key: string): string => (labelOf(key) ? `${key} (${labelOf(key)})` : key);
  const keys = first
    ? `The key pressed most is ${said(first.choice)}, by ${percent(first.visits, visits)}${second ? `, then ${said(second.choice)}, by ${percent(second.visits, visits)}` : ''}.`
    : 'Nobody pressed a key.';
  const others = [
    hungUp > 0 ? `${percent(hungUp, visits)} hung up here` : '',
    nothing > 0 ? `${percent(nothing, visits)} pressed nothing` : '',
  ].filter((part) => part !== '');
  const left = others.length > 0 ? ` ${others.join(', and ')}.` : '';
  const idle = unused.length > 0 ? ` Nobody pressed ${either(unused.map(said))}.` : '';
  return `${keys}${left}${idle}`;
}

function either(all: readonly string[]): string {
  return [all.slice(0, -1).join(', '), all.at(-1) ?? ''].filter((part) => part !== '').join(' or ');
}
