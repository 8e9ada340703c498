import { Button, Text } from '@chakra-ui/react';
import { describeEdit } from '@locutor/core/line';
import { adviseOn, describeFinding, gradeWords, type Finding } from '@locutor/core/proof';
import { useDraft } from '../draft/DraftProvider';
import { tellDone } from './notices';

/** What the proof found, what to do about it, and a button that does it where there is one way. */
export function FindingWords({
  finding,
  children,
}: {
  readonly finding: Finding;
  readonly children?: React.ReactNode;
}) {
  const { attendant, names } = useDraft();
  return (
    <Text as="span">
      <b>{gradeWords[finding.grade]}.</b> {describeFinding(finding, attendant, names)} {adviseOn(finding)}{' '}
      <FixButton finding={finding} />
      {children}
    </Text>
  );
}

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
