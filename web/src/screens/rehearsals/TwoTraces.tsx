import { Box, Flex, Text } from '@chakra-ui/react';
import { findSheet } from '@locutor/core/line';
import type { Rehearsed, TracedEntry } from '@locutor/core/rehearsals';
import { Link } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { captionOf } from '../../handset/captionWords';
import { showLength } from '../../parts/time';

interface Props {
  readonly was: readonly TracedEntry[] | null;
  readonly run: Rehearsed;
}

/** What happens now, beside what used to happen; where the two part is marked. */
export function TwoTraces({ was, run }: Props) {
  return (
    <Flex mt="2" ml={{ md: '108px' }} gap="4" wrap="wrap" fontSize="13px">
      {was && <Trace title="It used to go" entries={was} partsAt={run.partsAt} />}
      <Trace title={was ? 'Now it goes' : 'It goes'} entries={run.trace} partsAt={was ? run.partsAt : null} />
      {!was && <Text color="quiet">It has never gone as it should yet.</Text>}
    </Flex>
  );
}

function Trace({
  title,
  entries,
  partsAt,
}: {
  readonly title: string;
  readonly entries: readonly TracedEntry[];
  readonly partsAt: number | null;
}) {
  const { attendant, names } = useDraft();
  return (
    <Box flex="1 1 260px" minW="0">
      <Text fontWeight="600">{title}</Text>
      <Box as="ol" listStyleType="none">
        {entries.map((entry, index) => {
          const sheet = entry.type === 'sheet' ? findSheet(attendant, entry.sheetId) : undefined;
          const words = sheet ? sheet.name : captionOf(entry, names, 'log');
          if (!words) return null;
          const isParting = index === partsAt;
          return (
            <Flex
              as="li"
              key={index}
              gap="2"
              px="1"
              borderLeftWidth="3px"
              borderColor={isParting ? 'petrol.solid' : 'transparent'}
              bg={isParting ? 'petrol.subtle' : undefined}
              color={partsAt !== null && index < partsAt ? 'quiet' : undefined}
              fontWeight={isParting ? 600 : 400}
            >
              <Text as="span" fontFamily="mono" color="quiet" w="38px" flexShrink="0">
                {showLength(entry.atMs)}
              </Text>
              {sheet ? (
                <Text asChild textDecoration="underline">
                  <Link to={`/script/${sheet.id}`}>{words}</Link>
                </Text>
              ) : (
                words
              )}
              {isParting && <Text srOnly>: here it goes another way</Text>}
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
