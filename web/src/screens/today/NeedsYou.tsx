import { Box, Flex, Text } from '@chakra-ui/react';
import { describeFinding } from '@locutor/core/proof';
import { describeOutOfStep } from '@locutor/core/speech';
import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { useMessages } from '../../api/resources';
import { useHandsetDock } from '../../app/handsetDock';
import { useDraft } from '../../draft/DraftProvider';
import { useAirDifferences } from '../../draft/useAirDifferences';
import { useFaults } from '../../draft/useFindings';
import { useSpokenThings } from '../greetings/spokenThings';
import { findingLink } from '../script/findingSheet';

interface Need {
  readonly says: string;
  readonly does: string;
  readonly to: string;
}

const mostFaultsListed = 4;

/** What waits for the manager, each with the next click. */
export function NeedsYou() {
  const needs = useNeeds();
  const dock = useHandsetDock();
  if (needs.length === 0) {
    return (
      <Text>
        Nothing. The draft is on air, it has no faults, and every message was heard.{' '}
        {!dock.isOpen && (
          <Box asChild color="petrol.fg" textDecoration="underline" cursor="pointer">
            <button type="button" onClick={() => dock.setOpen(true)}>
              Call it on the handset
            </button>
          </Box>
        )}
      </Text>
    );
  }
  return (
    <Box as="ul" listStyleType="none" borderTopWidth="1px" borderColor="hairline">
      {needs.map((need) => (
        <Flex as="li" key={need.says} borderBottomWidth="1px" borderColor="hairline" py="2" gap="3" align="center">
          <Text flex="1">{need.says}</Text>
          <Flex asChild align="center" color="petrol.fg" fontWeight="500" flexShrink="0">
            <Link to={need.to}>
              {need.does} <ChevronRight size={15} aria-hidden />
            </Link>
          </Flex>
        </Flex>
      ))}
    </Box>
  );
}

function useNeeds(): readonly Need[] {
  const { attendant, names } = useDraft();
  const faults = useFaults();
  const differences = useAirDifferences();
  const unheard = useMessages().data?.filter((message) => !message.heard).length ?? 0;
  const things = useSpokenThings();
  const needs: Need[] = [];
  if (unheard > 0) {
    const says = unheard === 1 ? 'One message was not heard yet.' : `${unheard} messages were not heard yet.`;
    needs.push({ says, does: 'Listen', to: '/messages' });
  }
  for (const finding of faults.slice(0, mostFaultsListed)) {
    needs.push({ says: describeFinding(finding, attendant, names), does: 'Mend it', to: findingLink(finding) });
  }
  for (const { id, name, kind, differences: untrue, byVoice } of things) {
    const [first] = untrue;
    if (!first || byVoice) continue;
    const to = kind === 'greeting' ? `/greetings/${id}` : `/script/${id}`;
    needs.push({ says: `The recording of ${name}: ${describeOutOfStep(first)}`, does: 'Put it right', to });
  }
  if (differences === 'first') needs.push({ says: 'Nothing is on air yet.', does: 'Put it on air', to: '/on-air' });
  else if (differences !== 'same') {
    needs.push({ says: 'The draft is not the same as what callers hear.', does: 'See the differences', to: '/on-air' });
  }
  return needs;
}
