import { Box, Flex, IconButton, Input, Text } from '@chakra-ui/react';
import { longestName } from '@locutor/core/directory';
import { describeSlot, usesOf, type VoiceId } from '@locutor/core/line';
import { sentencesOf } from '@locutor/core/speech';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useBoxes, type KeptGreeting } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { voiceChoices } from '../../parts/voiceChoices';
import { Listen } from '../../parts/Listen';
import { RowSavingNote } from '../../parts/RowSavingNote';
import { SpokenField } from '../../parts/SpokenField';
import { useRemoveRow } from '../../parts/useRemoveRow';
import { useRowDraft } from '../../parts/useRowDraft';

/** A greeting of the library: its words, its voice, and how it sounds on the telephone. */
export function GreetingEditor({ greeting }: { readonly greeting: KeptGreeting }) {
  const { row, change, ...saving } = useRowDraft('/api/greetings', greeting);
  const navigate = useNavigate();
  const removeRow = useRemoveRow('/api/greetings');
  const [speaking, setSpeaking] = useState<number | null>(null);
  const sentences = sentencesOf(row.words, row.voice, { type: 'line' });
  const remove = async (): Promise<void> => {
    if (await removeRow(greeting)) await navigate('/greetings');
  };
  return (
    <Box
      as="section"
      aria-label="Greeting"
      bg="sheet"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      p="4"
      mt="2"
    >
      <Flex gap="2" align="center">
        <Input
          aria-label="Name of the greeting"
          value={row.name}
          maxLength={longestName}
          onChange={(event) => change({ name: event.currentTarget.value })}
          fontSize="16px"
          fontWeight="600"
          h="8"
          px="2"
          ml="-2"
          borderColor="transparent"
          _hover={{ borderColor: 'hairline' }}
        />
        <RowSavingNote {...saving} />
        <IconButton
          size="sm"
          variant="ghost"
          aria-label={`Delete ${row.name}`}
          title={`Delete ${row.name}`}
          onClick={() => void remove()}
        >
          <Trash2 size={15} />
        </IconButton>
      </Flex>
      <Box mt="2">
        <SpokenField label="Words" value={row.words} onChange={(words) => change({ words })} />
      </Box>
      <Flex mt="3" gap="4" align="center" wrap="wrap">
        <Text>
          Spoken by{' '}
          <InlineSelect
            label="Voice"
            value={row.voice}
            choices={voiceChoices}
            onChange={(voice) => change({ voice: voice as VoiceId })}
          />
        </Text>
        <Listen sentences={sentences} label="Hear it as on the phone" onSentence={setSpeaking} />
        <Text fontFamily="spoken" fontSize="15px" aria-live="off" flex="1" minW="200px">
          {speaking !== null && sentences[speaking]?.text}
        </Text>
      </Flex>
      <UsedIn greeting={greeting} />
    </Box>
  );
}

function UsedIn({ greeting }: { readonly greeting: KeptGreeting }) {
  const { attendant, names } = useDraft();
  const inBoxes = useBoxes().filter((box) => box.greetingId === greeting.id);
  const uses = [
    ...usesOf(attendant, greeting.id).map((use) => describeSlot(use.slot, attendant, names)),
    ...inBoxes.map((box) => `the box ${box.name}`),
  ];
  return (
    <Text mt="2" fontSize="13px" color="quiet">
      {uses.length > 0
        ? `Used in ${uses.join(', ')}.`
        : 'Not used yet. Choose it in a “say” step of the script, or for a box in the Directory.'}
    </Text>
  );
}
