import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { languageOf, tunedVoice, tuningOf, voiceLabel, voiceNameOf, type VoiceId } from '@locutor/core/line';
import type { Sentence } from '@locutor/core/speech';
import { useState } from 'react';
import { Listen } from '../../parts/Listen';
import { useVoices } from '../../parts/useVoices';

interface Props {
  readonly voice: VoiceId;
  /** What would be said by another voice. */
  readonly sentences: (voice: VoiceId) => readonly Sentence[];
  readonly onUse: (voice: VoiceId) => void;
}

/** The very words in the other voices of their language, heard before one of them is taken. */
export function OtherVoices({ voice, sentences, onUse }: Props) {
  const [isOpen, setOpen] = useState(false);
  const others = useVoices().filter((name) => languageOf(name) === languageOf(voice) && name !== voiceNameOf(voice));
  return (
    <Box mt="2">
      <Button
        size="xs"
        variant="ghost"
        colorPalette="petrol"
        ml="-2"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'Hide the other voices' : 'Hear it in other voices'}
      </Button>
      {isOpen && (
        <Box as="ul" listStyleType="none" aria-label="Other voices">
          {others.map((name) => {
            const other = tunedVoice(name, tuningOf(voice));
            return (
              <Flex as="li" key={name} gap="3" align="center" py="1" borderTopWidth="1px" borderColor="hairline">
                <Text flex="1" fontSize="14px">
                  {voiceLabel(name)}
                </Text>
                <Listen sentences={sentences(other)} />
                <Button
                  size="xs"
                  variant="outline"
                  bg="sheet"
                  aria-label={`Use the voice ${voiceLabel(name)}`}
                  onClick={() => onUse(other)}
                >
                  Use it
                </Button>
              </Flex>
            );
          })}
        </Box>
      )}
    </Box>
  );
}
