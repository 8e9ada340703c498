import { Box, Flex, Input, Table, Text, VisuallyHidden } from '@chakra-ui/react';
import { describeOutOfStep, estimateSentencesMs } from '@locutor/core/speech';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { Listen } from '../../parts/Listen';
import { VoiceField } from '../../parts/VoiceField';
import { showLength } from '../../parts/time';
import { voiceName } from '../../parts/voiceChoices';
import { showLoudness } from '../../takes/TakeEditor';
import { Waveform } from '../../takes/Waveform';
import { useSpokenThings, type SpokenThing } from './spokenThings';

const filters = {
  all: { label: 'everything', keeps: () => true },
  recorded: { label: 'what is recorded', keeps: ({ takes }: SpokenThing) => takes.length > 0 },
  notRecorded: { label: 'what is not recorded', keeps: ({ takes }: SpokenThing) => takes.length === 0 },
  outOfStep: {
    label: 'what is out of step',
    keeps: (thing: SpokenThing) => stateOf(thing) === 'outOfStep' || stateOf(thing) === 'other',
  },
  unknown: { label: 'what nobody knows to be right', keeps: (thing: SpokenThing) => stateOf(thing) === 'unknown' },
  unused: {
    label: 'greetings that are not used',
    keeps: ({ kind, uses }: SpokenThing) => kind === 'greeting' && uses.length === 0,
  },
} as const;
type Filter = keyof typeof filters;

const anyLanguage = 'every language';

const kindWords = { greeting: '', menu: 'Menu', announcement: 'Announcement', text: '' } as const;

/** The library: every greeting and sheet with its sound, length, loudness, and whether it still says what is so. */
export function Library() {
  const { attendant, edit } = useDraft();
  const things = useSpokenThings();
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState<Filter>('all');
  const [spoken, setSpoken] = useState(anyLanguage);
  const languagesSpoken = [...new Set(things.map(({ language }) => language))].sort();
  const shown = things.filter(
    (thing) =>
      filters[filter].keeps(thing) && (spoken === anyLanguage || thing.language === spoken) && contains(thing, search),
  );
  return (
    <Box>
      <Flex gap="4" align="center" wrap="wrap" fontSize="13px">
        <Input
          type="search"
          size="sm"
          w="220px"
          bg="sheet"
          placeholder="Search names and words"
          aria-label="Search greetings"
          value={search}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <Text>
          Show{' '}
          <InlineSelect
            label="Which greetings are shown"
            value={filter}
            choices={Object.entries(filters).map(([value, { label }]) => ({ value, label }))}
            onChange={(value) => setFilter(value as Filter)}
          />
          {languagesSpoken.length > 1 && (
            <>
              {' '}
              in{' '}
              <InlineSelect
                label="In which language"
                value={spoken}
                choices={[anyLanguage, ...languagesSpoken].map((each) => ({ value: each, label: each }))}
                onChange={setSpoken}
              />
            </>
          )}
        </Text>
        <Text ml="auto" color="quiet">
          The script:{' '}
          <VoiceField
            of="the script"
            voice={attendant.voice}
            onChange={(voice) => voice && edit({ type: 'setVoice', voice })}
          />
        </Text>
      </Flex>
      {shown.length === 0 ? (
        <Text mt="4" color="quiet">
          {search || filter !== 'all' || spoken !== anyLanguage
            ? 'Nothing here fits. Search for something else, or show everything.'
            : 'No greetings yet. Write one here to say it in several places: in a step, or before the beep of a box.'}
        </Text>
      ) : (
        <Table.Root size="sm" mt="3" aria-label="Library" css={{ tableLayout: 'fixed' }}>
          <Table.Header>
            <Table.Row bg="transparent">
              <Table.ColumnHeader>What is said</Table.ColumnHeader>
              <Table.ColumnHeader w="140px">Sound</Table.ColumnHeader>
              <Table.ColumnHeader w="60px" textAlign="end">
                Length
              </Table.ColumnHeader>
              <Table.ColumnHeader w="106px">State</Table.ColumnHeader>
              <Table.ColumnHeader w="100px">
                <VisuallyHidden>Listen</VisuallyHidden>
              </Table.ColumnHeader>
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {shown.map((thing) => (
              <ThingRow key={thing.id} thing={thing} />
            ))}
          </Table.Body>
        </Table.Root>
      )}
    </Box>
  );
}

function contains({ name, sentences }: SpokenThing, search: string): boolean {
  const text = [name, ...sentences.map((sentence) => sentence.text)].join(' ').toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

function ThingRow({ thing }: { readonly thing: SpokenThing }) {
  const { id, name, kind, sentences, takes, language, voice, uses } = thing;
  const words = sentences.map(({ text }) => text).join(' ');
  const [take] = takes;
  return (
    <Table.Row bg="transparent" verticalAlign="top">
      <Table.Cell>
        <Link to={`/greetings/${id}`}>
          <Text>
            <b>{name}</b>{' '}
            <Text as="span" color="quiet" fontSize="13px">
              {kindWords[kind]}
            </Text>
          </Text>
          <Text fontFamily="spoken" fontSize="15px" lineHeight="1.5" truncate title={words}>
            {words || 'No words yet'}
          </Text>
        </Link>
        <Differences thing={thing} />
        {kind === 'greeting' && (
          <Text fontSize="12.5px" color="quiet" truncate title={uses.join(', ')}>
            {uses.length > 0 ? `Used in ${uses.join(', ')}` : 'Not used yet'}
          </Text>
        )}
      </Table.Cell>
      <Table.Cell>
        {take ? (
          <>
            <Waveform audioId={take.audioId} label={`The recording of ${name}`} height={30} />
            <Text fontSize="12px" color="quiet">
              {takes.length > 1 ? `${takes.length} recordings` : showLoudness(take.made.after.lufs)}
            </Text>
          </>
        ) : (
          <Text fontSize="13px" color="quiet">
            {voiceName(voice)}
          </Text>
        )}
        {language !== 'English' && (
          <Text fontSize="12px" color="quiet">
            {language}
          </Text>
        )}
      </Table.Cell>
      <Table.Cell textAlign="end" fontFamily="mono" fontSize="13px">
        {showLength(estimateSentencesMs(sentences))}
      </Table.Cell>
      <Table.Cell fontSize="13px">
        <State thing={thing} />
      </Table.Cell>
      <Table.Cell textAlign="end">
        <Listen sentences={sentences} />
      </Table.Cell>
    </Table.Row>
  );
}

type ThingState = 'inStep' | 'outOfStep' | 'other' | 'unknown' | 'listening';

const stateWords: Readonly<Record<ThingState, string>> = {
  inStep: 'In step',
  outOfStep: 'Out of step',
  other: 'Says something else',
  unknown: 'Not known',
  listening: 'Being listened to',
};

/** Only what is known to say what it should, and what is so now, is in step. The voice always is. */
function stateOf({ differences, verdicts }: SpokenThing): ThingState {
  if (verdicts.some((verdict) => verdict?.type === 'other')) return 'other';
  if (differences.length > 0) return 'outOfStep';
  if (verdicts.some((verdict) => verdict?.type === 'unknown')) return 'unknown';
  return verdicts.includes(null) ? 'listening' : 'inStep';
}

function State({ thing }: { readonly thing: SpokenThing }) {
  const state = stateOf(thing);
  if (thing.takes.length === 0) return <Text color="quiet">{stateWords[state]}</Text>;
  return (
    <>
      <Text fontWeight={state === 'inStep' || state === 'listening' ? undefined : 600}>{stateWords[state]}</Text>
      {thing.byVoice && (
        <Text fontSize="12px" color="quiet">
          The voice speaks
        </Text>
      )}
    </>
  );
}

/** What a recording says that is no longer so. */
function Differences({ thing: { differences } }: { readonly thing: SpokenThing }) {
  const [first, ...others] = differences;
  return (
    first && (
      <Text fontSize="13px" fontWeight="500">
        {describeOutOfStep(first)}
        {others.length > 0 && ` And ${others.length} more.`}
      </Text>
    )
  );
}
