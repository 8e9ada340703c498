import type { Upgrade } from './upgrade';

/** Version 5 knew no step for the operator, and rang all phones of a person; nothing in it has to be other than it was. */
export const operator: Upgrade = {
  to: 6,
  why: 'A step can ring the operator of the line, and phones that are for on call only.',
  run: (older) => older,
};
