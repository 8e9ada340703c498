import { usesOf, type ReferredId } from '@locutor/core/line';
import { useDraft } from '../../draft/DraftProvider';
import { usesInWords } from './usesInWords';

/** Where the draft uses something, in words; empty when nowhere. */
export function useUses(): (id: ReferredId) => string {
  const { attendant, names } = useDraft();
  return (id) => usesInWords(usesOf(attendant, id), attendant, names);
}
