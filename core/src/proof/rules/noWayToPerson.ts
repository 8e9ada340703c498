import { slotKey } from '../../line';
import type { Reach } from '../../paths';
import { callsOf, choicesIn, type AnsweredCalls, type Calls } from '../calls';
import { rememberBy } from '../remember';
import { atSlot, type Found, type Rule } from '../rule';

/** Hours at which the business is open, and no way through leads to anybody. */
export const noWayToPerson: Rule<'noWayToPerson'> = {
  name: 'noWayToPerson',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => withoutPerson(callsOf(subject)),
};

/** What answers while it is open and leads to nobody; where the hours never say open, whatever answers. */
const withoutPerson = rememberBy(({ answered }: Calls): readonly Found[] => {
  const open = answered.filter((each) => each.open.length > 0);
  const bySlot = new Map<string, AnsweredCalls[]>();
  for (const each of open.length > 0 ? open : answered) {
    const key = slotKey(each.slot);
    bySlot.set(key, [...(bySlot.get(key) ?? []), each]);
  }
  return [...bySlot.values()].flatMap((calls) => {
    const [first] = calls;
    return first && !calls.some(({ reach }) => leadsToPerson(reach)) ? [{ at: atSlot(first.slot) }] : [];
  });
});

function leadsToPerson(reach: Reach): boolean {
  return choicesIn(reach).some(({ leg }) => leg.personMs !== null || leg.end.type === 'line');
}
