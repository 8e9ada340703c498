import { describeSlot, usesOf, type ReferredId } from '@locutor/core/line';
import { useDraft } from '../../draft/DraftProvider';

/** Where the draft uses something, in words; empty when nowhere. */
export function useUses(): (id: ReferredId) => string {
  const { attendant, names } = useDraft();
  return (id) => [...new Set(usesOf(attendant, id).map((use) => describeSlot(use.slot, attendant, names)))].join(', ');
}
