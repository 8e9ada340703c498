import { Button } from '@chakra-ui/react';
import { describeEdit } from '@locutor/core/line';
import { describeRowFix, type Finding } from '@locutor/core/proof';
import { useAttendantPart, useDraftTools } from '../draft/DraftProvider';
import { useRowFix } from '../draft/useRowFix';
import { tellDone } from './notices';

/** Applies what mends a finding, in the script or where it stands in the directory or the hours; it can be undone. */
export function FixButton({ finding: { fix, rowFix } }: { readonly finding: Pick<Finding, 'fix' | 'rowFix'> }) {
  const { names, edit, store } = useDraftTools();
  const mend = useAttendantPart((attendant) => (fix ? describeEdit(fix, attendant, names) : ''));
  const mendRow = useRowFix();
  if (fix) {
    const apply = (): void => {
      edit(fix);
      tellDone(`Done: ${mend}.`, store.undo);
    };
    return <Mend says={mend} onClick={apply} />;
  }
  if (!rowFix) return null;
  const says = describeRowFix(rowFix, names);
  return <Mend says={says} onClick={() => void mendRow(rowFix, says)} />;
}

function Mend({ says, onClick }: { readonly says: string; readonly onClick: () => void }) {
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
      onClick={onClick}
    >
      {says.charAt(0).toUpperCase() + says.slice(1)}
    </Button>
  );
}
