import { Box } from '@chakra-ui/react';
import type { NamedPathId, SheetId } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { CircleAlert, Info } from 'lucide-react';
import { useFindings } from '../../draft/useFindings';
import { FindingWords } from '../../parts/FindingWords';
import { findingSheet } from './findingSheet';

/** What the proof finds on one sheet or named path, above its words. */
export function SheetFindings({ of }: { readonly of: SheetId | NamedPathId }) {
  const findings = useFindings().filter((finding) => isOn(finding, of));
  if (findings.length === 0) return null;
  return (
    <Box as="ul" mt="2" p="2" bg="sunk" borderRadius="md" listStyleType="none" aria-label="What the proof finds here">
      {findings.map((finding, index) => {
        const Icon = finding.grade === 'fault' ? CircleAlert : Info;
        return (
          <Box as="li" key={index} fontSize="13px" display="flex" gap="2" py="0.5">
            <Box as="span" mt="3px" flexShrink="0">
              <Icon size={14} aria-hidden />
            </Box>
            <FindingWords finding={finding} />
          </Box>
        );
      })}
    </Box>
  );
}

function isOn(finding: Finding, id: SheetId | NamedPathId): boolean {
  const { at } = finding;
  return findingSheet(finding) === id || (at.type === 'path' && at.slot.type === 'named' && at.slot.pathId === id);
}
