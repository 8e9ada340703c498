import type { WorkOf } from '../staffing';
import { percent } from './when.en';

/** Who answers, in a sentence: how much, and how many times nobody picked up. It compares nobody with anybody. */
export function describeWork(work: readonly WorkOf[]): string {
  const sum = (of: (each: WorkOf) => number): number => work.reduce((all, each) => all + of(each), 0);
  const [rung, answered] = [sum((each) => each.rung), sum((each) => each.answered)];
  if (rung === 0) return 'Nobody was rung.';
  const people = work.filter((each) => each.answered > 0).length;
  const hours = sum((each) => each.talkMs) / 3_600_000;
  const talked = hours >= 10 ? `${Math.round(hours).toLocaleString('en')} hours` : `${hours.toFixed(1)} hours`;
  const missed = sum((each) => each.declined + each.letRing);
  return (
    `${answered.toLocaleString('en')} calls were answered by ${people} ${people === 1 ? 'person' : 'people'}, who talked for ${talked} in all. ` +
    `${percent(missed, rung)} of all times that a phone rang it was let ring or declined.`
  );
}
