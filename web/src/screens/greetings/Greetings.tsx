import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { defaultVoice, type Attendant, type VoiceId } from '@locutor/core/line';
import { estimateSentencesMs, sentencesOf, sheetSentences, type Sentence } from '@locutor/core/speech';
import { Plus } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useGreetings, type KeptGreeting } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { voiceChoices, voiceName } from '../../parts/voiceChoices';
import { Listen } from '../../parts/Listen';
import { tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { showLength } from '../../parts/time';
import { GreetingEditor } from './GreetingEditor';

/** Everything that is spoken: the script's own words, and the library of greetings. */
export default function Greetings() {
  const { attendant, edit } = useDraft();
  const greetings = useGreetings();
  const { greetingId } = useParams();
  const chosen = greetings.find((greeting) => greeting.id === greetingId);
  const add = useAddGreeting();
  return (
    <Box pb="8">
      <ScreenHead title="Greetings">
        <Button size="sm" colorPalette="petrol" onClick={() => void add()}>
          <Plus size={14} aria-hidden /> New greeting
        </Button>
      </ScreenHead>
      <Box px="6" maxW="900px">
        {chosen && <GreetingEditor key={chosen.id} greeting={chosen} />}
        <SectionTitle>Library</SectionTitle>
        {greetings.length === 0 && (
          <Text color="quiet">
            No greetings yet. Write one here to say it in several places: in a step, or before the beep of a box.
          </Text>
        )}
        <Rows label="Library">
          {greetings.map((greeting) => (
            <SpokenRow
              key={greeting.id}
              to={`/greetings/${greeting.id}`}
              name={greeting.name}
              kind={voiceName(greeting.voice)}
              sentences={sentencesOf(greeting.words, greeting.voice, { type: 'line' })}
              isCurrent={greeting.id === greetingId}
            />
          ))}
        </Rows>
        <SectionTitle>In the script</SectionTitle>
        <Text>
          Spoken by{' '}
          <InlineSelect
            label="Voice of the script"
            value={attendant.voice}
            choices={voiceChoices}
            onChange={(voice) => edit({ type: 'setVoice', voice: voice as VoiceId })}
          />
          , one voice for the whole script.
        </Text>
        <ScriptRows attendant={attendant} />
      </Box>
    </Box>
  );
}

function ScriptRows({ attendant }: { readonly attendant: Attendant }) {
  return (
    <Rows label="In the script">
      {attendant.sheets.map((sheet) => (
        <SpokenRow
          key={sheet.id}
          to={`/script/${sheet.id}`}
          name={sheet.name}
          kind={sheet.type === 'menu' ? 'Menu' : 'Announcement'}
          sentences={sheetSentences(sheet, attendant.voice)}
        />
      ))}
    </Rows>
  );
}

function SectionTitle({ children }: { readonly children: string }) {
  return (
    <Heading as="h2" fontSize="15px" fontWeight="600" mt="6" mb="1">
      {children}
    </Heading>
  );
}

function Rows({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Box as="ul" listStyleType="none" aria-label={label} mt="1">
      {children}
    </Box>
  );
}

interface SpokenRowProps {
  readonly to: string;
  readonly name: string;
  readonly kind: string;
  readonly sentences: readonly Sentence[];
  readonly isCurrent?: boolean;
}

function SpokenRow({ to, name, kind, sentences, isCurrent = false }: SpokenRowProps) {
  const words = sentences.map((sentence) => sentence.text).join(' ');
  return (
    <Flex
      as="li"
      gap="3"
      py="2"
      px="2"
      mx="-2"
      align="center"
      borderTopWidth="1px"
      borderColor="hairline"
      bg={isCurrent ? 'petrol.subtle' : undefined}
    >
      <Box asChild flex="1" minW="0" display="block">
        <Link to={to} aria-current={isCurrent ? 'true' : undefined}>
          <Text>
            <b>{name}</b>{' '}
            <Text as="span" color="quiet" fontSize="13px">
              {kind}
            </Text>
          </Text>
          <Text fontFamily="spoken" fontSize="15px" truncate>
            {words || 'No words yet'}
          </Text>
        </Link>
      </Box>
      <Text fontFamily="mono" fontSize="13px" color="quiet" title="About how long it takes to say">
        {showLength(estimateSentencesMs(sentences))}
      </Text>
      <Listen sentences={sentences} />
    </Flex>
  );
}

function useAddGreeting(): () => Promise<void> {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  return async () => {
    try {
      const body = { name: 'New greeting', words: 'Thank you for calling.', voice: defaultVoice };
      const greeting = await api<KeptGreeting>('/api/greetings', { method: 'POST', body });
      await mutate('/api/greetings');
      await navigate(`/greetings/${greeting.id}`);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
}
