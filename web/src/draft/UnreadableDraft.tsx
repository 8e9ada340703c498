import { Button, Flex, Text } from '@chakra-ui/react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { useOnAir } from '../api/resources';
import { tellProblem } from '../parts/notices';
import { useDraft } from './DraftProvider';
import { draftPath } from './openDraft';

/** Says, above the work, that the draft cannot be read, and lets it be begun anew from what is on air. */
export function UnreadableDraft() {
  const { line, attendant, unreadable } = useDraft();
  const { mutate } = useSWRConfig();
  const onAir = useOnAir(line);
  if (!unreadable) return null;
  const begin = async (): Promise<void> => {
    const path = draftPath(line.id);
    try {
      const from = onAir?.attendant ?? attendant;
      await api(`${path}/begin-again`, { method: 'POST', body: { revision: unreadable.revision, attendant: from } });
      await mutate(path);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Flex
      role="alert"
      bg="sunk"
      borderBottomWidth="1px"
      borderColor="hairline"
      px="4"
      py="2"
      gap="3"
      align="center"
      wrap="wrap"
    >
      <Text flex="1" minW="300px">
        {unreadable.detail} {onAir ? 'What is on air goes on, and is shown in its place.' : 'Nothing is on air.'}{' '}
        Nothing of the script can be changed until it is begun anew; the old one is put aside in the data folder.
      </Text>
      <Button size="sm" colorPalette="petrol" onClick={() => void begin()}>
        {onAir ? 'Begin anew from what is on air' : 'Begin anew'}
      </Button>
    </Flex>
  );
}
