import {
  pathGraph,
  reachedIn,
  slotKey,
  slotOfRule,
  stepsThatRun,
  type PathGraph,
  type Slot,
  type Step,
} from '../../line';
import { answeringMoments } from '../moments';
import { rememberBy } from '../remember';
import { atSlot, type ProofSubject, type Rule } from '../rule';

/** Hours at which the business is open, and no way through leads to anybody. */
export const noWayToPerson: Rule<'noWayToPerson'> = {
  name: 'noWayToPerson',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) =>
    openSlots(subject)
      .filter((slot) => !leadsToPerson(pathGraph(subject.attendant))(slotKey(slot), slot))
      .map((slot) => ({ at: atSlot(slot) })),
};

/** What answers while it is open; where the hours never say open, whatever answers. */
function openSlots(subject: ProofSubject): readonly Slot[] {
  const moments = answeringMoments(subject);
  const open = moments.filter(({ open: at }) => at.length > 0).map(({ slot }) => slot);
  if (open.length > 0) return open;
  return [...subject.attendant.answering.rules.map(slotOfRule), { type: 'otherwise' }];
}

const leadsToPerson = rememberBy((graph: PathGraph) => {
  const known = new Map<string, boolean>();
  return (key: string, slot: Slot): boolean => {
    const leads = known.get(key) ?? reachedIn(graph, [slot]).some(({ path }) => stepsThatRun(path).some(reachesPerson));
    known.set(key, leads);
    return leads;
  };
});

function reachesPerson({ type }: Step): boolean {
  switch (type) {
    case 'ring':
    case 'ringOperator':
    case 'ringGroup':
    case 'ringOutside':
    case 'waitInQueue':
    case 'handOver':
    case 'toLine':
    case 'searchByName':
    case 'askExtension':
      return true;
    default:
      return false;
  }
}
