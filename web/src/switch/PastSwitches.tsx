import { Box, Text } from '@chakra-ui/react';
import type { Attendant } from '@locutor/core/line';
import { useDraftTools } from '../draft/DraftProvider';
import { pastWords } from './switchWords';
import { useSwitchState } from './useSwitch';

/** Who set the switch before, from when to when; nothing where nobody did. */
export function PastSwitches({ attendant, now }: { readonly attendant: Attendant; readonly now: number }) {
  const { line } = useDraftTools();
  const past = useSwitchState(line).data?.past ?? [];
  if (past.length === 0) return null;
  return (
    <Box asChild mt="2" fontSize="13px" color="quiet">
      <details>
        <summary>When it was used before</summary>
        <Box as="ul" pl="4" listStyleType="disc">
          {past.map((set) => (
            <li key={set.id}>
              <Text>{pastWords(set, attendant, line.timeZone, now)}.</Text>
            </li>
          ))}
        </Box>
      </details>
    </Box>
  );
}
