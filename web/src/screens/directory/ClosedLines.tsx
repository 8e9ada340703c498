import { Box } from '@chakra-ui/react';
import type { ClosedReason, Membership } from '@locutor/core/directory';
import type { FallbackSlot } from '@locutor/core/line';
import { SpokenField } from '../../parts/SpokenField';
import { Fallback } from './Fallback';

interface Props {
  readonly row: Membership & { readonly name: string };
  readonly slotFor: (reason: ClosedReason) => FallbackSlot;
  readonly onChange: (changes: Partial<Pick<Membership, 'closedWords' | 'specialWords'>>) => void;
}

/** What callers hear outside the hours of a group or queue, and what follows; nothing where it keeps none. */
export function ClosedLines({ row, slotFor, onChange }: Props) {
  if (row.hoursId === null) return null;
  return (
    <Box mt="2" mb="3">
      <SpokenField
        label="Said outside its hours"
        placeholder="Nothing"
        value={row.closedWords}
        onChange={(closedWords) => onChange({ closedWords })}
      />
      <SpokenField
        label="Said on its special dates, where the date has no words of its own"
        placeholder="The same as outside its hours"
        value={row.specialWords}
        onChange={(specialWords) => onChange({ specialWords })}
      />
      <Fallback slot={slotFor('closed')} when="Outside its hours" of={`${row.name}, closed`} />
      <Fallback slot={slotFor('special')} when="On its special dates" of={`${row.name}, special dates`} />
    </Box>
  );
}
