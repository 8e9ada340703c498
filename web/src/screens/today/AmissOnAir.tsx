import { Box } from '@chakra-ui/react';
import { describeFinding } from '@locutor/core/proof';
import { useOnAir } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { useAirFindings } from '../../draft/useFindings';
import { findingLink } from '../script/findingSheet';
import { Needs, type Need } from './Needs';

const mostShown = 3;

/** What is wrong with what callers hear now: it comes before everything else that there is to see. */
export function AmissOnAir() {
  const { line, names } = useDraft();
  const onAir = useOnAir(line);
  const amiss = useAirFindings();
  if (!onAir || amiss.length === 0) return null;
  const needs = amiss.slice(0, mostShown).map((finding): Need => {
    const says = `On air: ${describeFinding(finding, onAir.attendant, names)}`;
    return { says, does: 'Mend it', to: findingLink(finding) };
  });
  const more = amiss.length - needs.length;
  const says = more === 1 ? 'One more thing on air is not right.' : `${more} more things on air are not right.`;
  return (
    <Box as="section" aria-label="Not right on air" mt="4" fontWeight="500">
      <Needs needs={more > 0 ? [...needs, { says, does: 'See all', to: '/proof#on-air' }] : needs} />
    </Box>
  );
}
