import { Button, Text } from '@chakra-ui/react';
import { describeEdit } from '@locutor/core/line';
import { adviseOn, describeFinding, type Finding } from '@locutor/core/proof';
import { useDraft } from '../draft/DraftProvider';
import { tellDone } from './notices';

/** What the proof found, what to do about it, and a button that does it where there is one way. */
export function FindingWords({ finding }: { readonly finding: Finding }) {
  const { attendant, names, edit, store } = useDraft();
  const { fix, grade } = finding;
  const mend = fix && describeEdit(fix, attendant, names);
  return (
    <Text as="span">
      <b>{grade === 'fault' ? 'Fault.' : 'Caution.'}</b> {describeFinding(finding, attendant, names)}{' '}
      {adviseOn(finding)}
      {fix && mend && (
        <Button
          size="2xs"
          variant="outline"
          bg="sheet"
          ml="2"
          onClick={() => {
            edit(fix);
            tellDone(`Done: ${mend}.`, store.undo);
          }}
        >
          {mend.charAt(0).toUpperCase() + mend.slice(1)}
        </Button>
      )}
    </Text>
  );
}
