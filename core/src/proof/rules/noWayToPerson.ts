import { reachedFrom, slotOfRule, stepsThatRun, type Slot, type Step } from '../../line';
import { answeringMoments } from '../moments';
import { atSlot, type ProofSubject, type Rule } from '../rule';

/** Hours at which the business is open, and no way through leads to anybody. */
export const noWayToPerson: Rule<'noWayToPerson'> = {
  name: 'noWayToPerson',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) =>
    openSlots(subject)
      .filter(
        (slot) => !reachedFrom(subject.attendant, [slot]).some(({ path }) => stepsThatRun(path).some(reachesPerson)),
      )
      .map((slot) => ({ at: atSlot(slot) })),
};

/** What answers while it is open; where the hours never say open, whatever answers. */
function openSlots(subject: ProofSubject): readonly Slot[] {
  const moments = answeringMoments(subject);
  const open = moments.filter(({ open: at }) => at.length > 0).map(({ slot }) => slot);
  if (open.length > 0) return open;
  return [...subject.attendant.answering.rules.map(slotOfRule), { type: 'otherwise' }];
}

function reachesPerson({ type }: Step): boolean {
  switch (type) {
    case 'ring':
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
