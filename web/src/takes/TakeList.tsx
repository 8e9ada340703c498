import { Box, Flex, Text } from '@chakra-ui/react';
import type { TakeUse } from '@locutor/core/line';
import { Check, Trash2 } from 'lucide-react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { useDraftTools } from '../draft/DraftProvider';
import { tellDone, tellProblem } from '../parts/notices';
import { SmallButton } from '../parts/SmallButton';
import { SoundPlayer } from '../parts/SoundPlayer';
import { showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';
import { takesPath, type KeptTake } from './useTakes';

interface Props {
  readonly takes: readonly KeptTake[];
  readonly usedId: string | null;
  readonly onUse: (use: TakeUse | null) => void;
}

const sourceWords = { microphone: 'Recorded here', phone: 'Recorded by phone', file: 'From a file' } as const;

/** Every recording that was made, so that an earlier one can be brought back. */
export function TakeList({ takes, usedId, onUse }: Props) {
  const { line } = useDraftTools();
  const { mutate } = useSWRConfig();
  const now = useNow(60_000);
  if (takes.length === 0) return null;
  const putAway = async (take: KeptTake): Promise<void> => {
    try {
      if (take.id === usedId) onUse(null);
      await api(`${takesPath}/${take.id}`, { method: 'DELETE' });
      await mutate(takesPath);
      tellDone('The recording was put away.', () => void bringBack(take));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const bringBack = async (take: KeptTake): Promise<void> => {
    try {
      await api(`${takesPath}/${take.id}/restore`, { method: 'POST' });
      await mutate(takesPath);
      if (take.id === usedId) onUse({ takeId: take.id, byVoice: false });
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Box mt="4">
      <Text fontSize="12px" color="quiet">
        All recordings of this
      </Text>
      <Box as="ul" listStyleType="none" aria-label="All recordings of this">
        {takes.map((take) => {
          const isUsed = take.id === usedId;
          const when = showWhen(take.madeAt, line.timeZone, now);
          return (
            <Flex
              as="li"
              key={take.id}
              gap="3"
              align="center"
              py="1.5"
              borderTopWidth="1px"
              borderColor="hairline"
              fontWeight={isUsed ? 600 : undefined}
            >
              <Text flex="1" minW="0" fontSize="13px" truncate title={take.fileName}>
                {take.fileName || sourceWords[take.source]}{' '}
                <Text as="span" color="quiet" fontWeight="400">
                  {when}
                </Text>
              </Text>
              <SoundPlayer audioId={take.audioId} lengthMs={take.lengthMs} label={`the recording of ${when}`} />
              {isUsed ? (
                <Text fontSize="12.5px" w="26px" role="img" title="In use" aria-label="In use">
                  <Check size={15} />
                </Text>
              ) : (
                <SmallButton
                  label={`Use the recording of ${when}`}
                  icon={<Check size={14} opacity={0.4} />}
                  onClick={() => onUse({ takeId: take.id, byVoice: false })}
                />
              )}
              <SmallButton
                label={`Put the recording of ${when} away`}
                icon={<Trash2 size={14} />}
                onClick={() => void putAway(take)}
              />
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
