import { Box, Text } from '@chakra-ui/react';
import type { SheetId } from '@locutor/core/line';
import { adviseOn, describeFinding } from '@locutor/core/proof';
import { CircleAlert } from 'lucide-react';
import { useDraft } from '../../draft/DraftProvider';
import { useFindings } from '../../draft/useFindings';
import { findingSheet } from './findingSheet';

/** What the proof finds on one sheet, above its words. */
export function SheetFindings({ sheetId }: { readonly sheetId: SheetId }) {
  const { attendant, names } = useDraft();
  const findings = useFindings().filter((finding) => findingSheet(finding) === sheetId);
  if (findings.length === 0) return null;
  return (
    <Box as="ul" mt="2" p="2" bg="sunk" borderRadius="md" listStyleType="none" aria-label="Faults on this sheet">
      {findings.map((finding, index) => (
        <Text as="li" key={index} fontSize="13px" display="flex" gap="2" py="0.5">
          <Box as="span" mt="3px" flexShrink="0">
            <CircleAlert size={14} aria-label="Fault:" />
          </Box>
          {describeFinding(finding, attendant, names)} {adviseOn(finding)}
        </Text>
      ))}
    </Box>
  );
}
