import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { languageOf, languages, voiceLabel, type OwnVoice } from '@locutor/core/line';
import { useState } from 'react';
import { api, wordsOf } from '../../api/client';
import { SoundPlayer } from '../../parts/SoundPlayer';
import { useOwnVoices } from '../../parts/useVoices';

/** The voices of the business's own: what is in their folder, each heard, and what is wrong with it. */
export function OwnVoices() {
  const found = useOwnVoices();
  if (!found) return null;
  const { folder, voices, troubles } = found;
  if (folder === null) {
    return (
      <Text color="quiet">
        Only the voices that come with Locutor. Whoever looks after this computer can add others: they name a folder of
        voices in LOCUTOR_VOICES and start Locutor again; docs/greetings.md tells what is in it.
      </Text>
    );
  }
  return (
    <>
      <Text color="quiet">
        From the folder{' '}
        <Text as="span" fontFamily="mono" overflowWrap="anywhere">
          {folder}
        </Text>
        . Where one of them cannot speak, a voice that comes with Locutor does in its place.
      </Text>
      {voices.length === 0 && troubles.length === 0 && <Text mt="1">There is no voice in it yet.</Text>}
      <Box as="ul" listStyleType="none" mt="1" aria-label="Voices of your own">
        {voices.map(({ voice }) => (
          <VoiceRow key={voice} voice={voice} />
        ))}
        {troubles.map(({ folder: name, says }) => (
          <Box as="li" key={name} py="1.5" borderTopWidth="1px" borderColor="hairline">
            <Text fontSize="13px">
              <b>{name || 'Not readable'}</b> {says}
            </Text>
          </Box>
        ))}
      </Box>
    </>
  );
}

function VoiceRow({ voice }: { readonly voice: OwnVoice }) {
  const [heard, setHeard] = useState<{ readonly audioId: string; readonly lengthMs: number } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isTrying, setTrying] = useState(false);
  const name = voiceLabel(voice).replace(/, your own$/, '');
  const hear = async (): Promise<void> => {
    setTrying(true);
    setProblem(null);
    try {
      setHeard(await api('/api/voices/try', { method: 'POST', body: { voice } }));
    } catch (error) {
      setProblem(wordsOf(error));
    } finally {
      setTrying(false);
    }
  };
  return (
    <Box as="li" py="1.5" borderTopWidth="1px" borderColor="hairline">
      <Flex gap="3" align="center" minH="32px">
        <Text flex="1" minW="0">
          <b>{name}</b> {languages[languageOf(voice)]}
        </Text>
        {heard ? (
          <SoundPlayer audioId={heard.audioId} lengthMs={heard.lengthMs} label={`the voice ${name}`} />
        ) : (
          <Button size="xs" variant="outline" bg="sheet" loading={isTrying} onClick={() => void hear()}>
            Try {name}
          </Button>
        )}
      </Flex>
      {problem && (
        <Text role="alert" fontSize="13px" fontWeight="500">
          {problem}
        </Text>
      )}
    </Box>
  );
}
