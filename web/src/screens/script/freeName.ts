import { folded } from '@locutor/core/line';

/** A name that none of these is: the one wanted, else with the next number that is free, such as "Welcome 2". */
export function freeName(taken: readonly string[], wanted: string): string {
  const isTaken = (name: string): boolean => taken.some((each) => folded(each) === folded(name));
  if (!isTaken(wanted)) return wanted;
  const base = wanted.replace(/ \d+$/, '');
  let number = 2;
  while (isTaken(`${base} ${number}`)) number += 1;
  return `${base} ${number}`;
}
