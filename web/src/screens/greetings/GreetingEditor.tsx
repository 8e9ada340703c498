import { Box, Button, Flex, Grid, IconButton, Input, Text } from '@chakra-ui/react';
import { longestName } from '@locutor/core/directory';
import { languageOf } from '@locutor/core/line';
import {
  adviceOnLength,
  adviceOnWords,
  describeAdvice,
  estimateSentencesMs,
  plainSentences,
  saysOfWords,
  sentencesOf,
} from '@locutor/core/speech';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { KeptGreeting } from '../../api/resources';
import type { Heard } from '../../parts/heard';
import { Listen } from '../../parts/Listen';
import { SavingNote } from '../../saving/SavingNote';
import { SpokenCaption } from '../../parts/SpokenCaption';
import { SpokenField } from '../../parts/SpokenField';
import { VoiceField } from '../../parts/VoiceField';
import { useRowDraft } from '../../saving/useRowDraft';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { TakePanel } from '../../takes/TakePanel';
import { useLeave } from '../directory/useLeave';
import { ReadOutLength } from '../script/ReadOutLength';
import { PartsThatStay } from './PartsThatStay';
import { OtherVoices } from './OtherVoices';
import { SsmlMenu } from './SsmlMenu';
import { useSpokenThings } from './spokenThings';
import { suggestedName } from './suggestedName';

/** A greeting of the library: its words and voice on one side, its recording on the other. */
export function GreetingEditor({ greeting }: { readonly greeting: KeptGreeting }) {
  const { row, change, ...saving } = useRowDraft('/api/greetings', greeting);
  const facts = useSpokenFacts();
  const leave = useLeave('/api/greetings');
  const [heard, setHeard] = useState<Heard | null>(null);
  const sentences = sentencesOf(row.words, row.voice, { type: 'line' }, facts);
  const uses = useSpokenThings().find(({ id }) => id === greeting.id)?.uses ?? [];
  const suggested = suggestedName(row.name, uses);
  const advice = [...adviceOnLength(estimateSentencesMs(sentences)), ...adviceOnWords(row.words, row.voice)];
  return (
    <Box as="section" aria-label="Greeting" mt="1">
      <Flex gap="2" align="center">
        <Input
          aria-label="Name of the greeting"
          value={row.name}
          maxLength={longestName}
          onChange={(event) => change({ name: event.currentTarget.value })}
          fontSize="18px"
          fontWeight="600"
          h="8"
          px="2"
          ml="-2"
          maxW="420px"
          borderColor="transparent"
          bg="transparent"
          _hover={{ borderColor: 'hairline' }}
        />
        {suggested && (
          <Button size="xs" variant="outline" onClick={() => change({ name: suggested })}>
            Name it “{suggested}”
          </Button>
        )}
        <SavingNote {...saving} />
        <IconButton
          size="sm"
          variant="ghost"
          ml="auto"
          aria-label={`Delete ${row.name}, or put another in its place`}
          title={`Delete ${row.name}, or put another in its place`}
          onClick={() => void leave.ask(greeting)}
        >
          <Trash2 size={15} />
        </IconButton>
      </Flex>
      {leave.dialog}
      <Text fontSize="13px" color="quiet">
        {uses.length > 0
          ? `Used in ${uses.join(', ')}.`
          : 'Not used yet. Choose it in a “say” step of the script, or for a box in the Directory.'}
      </Text>
      <Grid mt="3" gap="6" templateColumns="repeat(auto-fit, minmax(min(440px, 100%), 1fr))">
        <Box bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="4" alignSelf="start">
          <SpokenField label="Words" value={row.words} voice={row.voice} onChange={(words) => change({ words })} />
          <Flex mt="2" gap="3" align="center" wrap="wrap">
            <ReadOutLength sentences={sentences} />
            <SsmlMenu name={row.name} greeting={row} onRead={change} />
            {advice.map((each) => (
              <Text key={each.type} fontSize="13px">
                {describeAdvice(each)}
              </Text>
            ))}
          </Flex>
          <Box mt="3" pt="3" borderTopWidth="1px" borderColor="hairline">
            <VoiceField of={row.name} voice={row.voice} onChange={(voice) => voice && change({ voice })} />
            <Flex mt="2" gap="3" align="center" minH="32px">
              <Listen sentences={sentences} label="Hear the voice" onHeard={setHeard} />
              <Box flex="1" minW="0">
                {heard && <SpokenCaption text={sentences[heard.index]?.text ?? ''} heard={heard} />}
              </Box>
            </Flex>
            <OtherVoices
              voice={row.voice}
              sentences={(voice) => sentencesOf(row.words, voice, { type: 'line' }, facts)}
              onUse={(voice) => change({ voice })}
            />
          </Box>
        </Box>
        <Box bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="4" alignSelf="start">
          <TakePanel
            place={greeting.id}
            name={row.name}
            text={plainSentences(row.words, row.voice, facts)
              .map(({ text }) => text)
              .join(' ')}
            language={languageOf(row.voice)}
            says={saysOfWords(row.words, row.voice, facts)}
            use={row.take}
            onUse={(take) => change({ take })}
          />
          <PartsThatStay words={row.words} language={languageOf(row.voice)} />
        </Box>
      </Grid>
    </Box>
  );
}
