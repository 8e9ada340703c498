import type { StepType } from '@locutor/core/line';

/** What each step is called at its beginning, in the order they are offered. */
export const stepVerbs: Readonly<Record<StepType, string>> = {
  ring: 'ring',
  ringOperator: 'ring the operator',
  ringGroup: 'ring the group',
  waitInQueue: 'let them wait in',
  ringOutside: 'ring the outside number of',
  takeMessage: 'take a message in',
  goTo: 'go to',
  say: 'say',
  followPath: 'follow the path',
  back: 'go back to the previous menu',
  sayAgain: 'say this menu again',
  searchByName: 'let them search by name',
  askExtension: 'ask for an extension',
  handOver: 'hand the call over to',
  toLine: 'hand over to the line',
  record: 'record',
  hangUp: 'hang up',
};

export const stepTypes = Object.keys(stepVerbs) as StepType[];

export function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
