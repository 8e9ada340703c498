import { Button } from '@chakra-ui/react';
import { describeEdit } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { useDraft } from '../draft/DraftProvider';
import { tellDone } from './notices';

/** Applies the edit that mends a finding; it can be undone like any other. */
export function FixButton({ finding: { fix } }: { readonly finding: Finding }) {
  const { attendant, names, edit, store } = useDraft();
  if (!fix) return null;
  const mend = describeEdit(fix, attendant, names);
  return (
    <Button
      size="2xs"
      variant="outline"
      bg="sheet"
      mr="1.5"
      maxW="100%"
      h="auto"
      minH="24px"
      py="0.5"
      whiteSpace="normal"
      textAlign="left"
      onClick={() => {
        edit(fix);
        tellDone(`Done: ${mend}.`, store.undo);
      }}
    >
      {mend.charAt(0).toUpperCase() + mend.slice(1)}
    </Button>
  );
}
