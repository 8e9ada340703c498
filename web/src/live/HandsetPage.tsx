import { useCountry } from '../parts/useCountry';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { exampleNumber, showPhoneNumber } from '@locutor/core/directory';
import { isKey, type Names } from '@locutor/core/line';
import { Mic, MicOff, Phone, PhoneOff } from 'lucide-react';
import { useState } from 'react';
import { useGroups, useLines, useNames } from '../api/resources';
import { CallerField } from '../handset/CallerField';
import { Captions } from '../handset/Captions';
import { targetName } from '../handset/captionWords';
import { Keypad } from '../handset/Keypad';
import { SpokenWords } from '../handset/SpokenWords';
import { InlineSelect } from '../parts/InlineSelect';
import { isTyping } from '../parts/isTyping';
import { showLength } from '../parts/time';
import { useNow } from '../parts/useNow';
import { LineClock } from './LineClock';
import { LiveHandset, type LiveHandsetView } from './liveHandset';
import { PhonePage } from './PhonePage';
import { useStore } from './store';
import { useSheetNames } from './useSheetNames';
import { useOwn } from './useOwn';
import { Elapsed } from '../parts/Elapsed';
import { useKeyDown } from '../parts/useKeyDown';

/** A caller's phone on the live line, for a window or a phone of its own. */
export default function HandsetPage() {
  const handset = useOwn('handset', () => new LiveHandset());
  return (
    <PhonePage title="Handset">
      <OpenHandset handset={handset} />
    </PhonePage>
  );
}

function OpenHandset({ handset }: { readonly handset: LiveHandset }) {
  const view = useStore(handset);
  const names = { ...useNames(undefined), ...useSheetNames() };
  if (view.status === 'idle') return <Dialling handset={handset} problem={view.problem} />;
  return <Call handset={handset} view={view} names={names} />;
}

function Dialling({ handset, problem }: { readonly handset: LiveHandset; readonly problem: string | null }) {
  const { data: lines = [] } = useLines();
  const groups = useGroups();
  const direct = groups.flatMap(({ name, directNumber }) => (directNumber ? [{ name, number: directNumber }] : []));
  const numbers = [...lines, ...direct];
  const [number, setNumber] = useState('');
  const country = useCountry();
  const [typed, setCaller] = useState<string | null>(null);
  const caller = typed ?? exampleNumber(country);
  const called = number || (numbers[0]?.number ?? '');
  return (
    <Box px="4" py="2" overflow="auto">
      <Text>
        Call{' '}
        <InlineSelect
          label="Which number to call"
          value={called}
          choices={numbers.map((each) => ({
            value: each.number,
            label: `${each.name}, ${showPhoneNumber(each.number)}`,
          }))}
          onChange={setNumber}
        />
      </Text>
      <CallerField value={caller} onChange={setCaller} />
      <Button
        mt="5"
        w="100%"
        colorPalette="petrol"
        disabled={called === ''}
        onClick={() => handset.dial(called, caller)}
      >
        <Phone size={16} aria-hidden /> Call
      </Button>
      {problem && (
        <Text role="alert" mt="3" fontWeight="500">
          {problem}
        </Text>
      )}
      <Text mt="4" fontSize="13px" color="quiet">
        This calls the live line: what is on air answers, the desk phones ring, and the call is in the log.
      </Text>
      <LineClock />
    </Box>
  );
}

interface CallProps {
  readonly handset: LiveHandset;
  readonly view: LiveHandsetView;
  readonly names: Names;
}

function Call({ handset, view, names }: CallProps) {
  const isOver = view.status === 'over';
  useKeyDown((event) => {
    if (!isKey(event.key) || isOver || isTyping(event.target) || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    handset.press(event.key);
  });
  return (
    <>
      <Text px="4" color="quiet" fontSize="13px">
        {view.lineName}
      </Text>
      <Captions transcript={view.transcript} speaking={view.speaking} unheard={view.unheard} names={names} />
      <Box px="4" pb="4" pt="2" borderTopWidth="1px" borderColor="hairline">
        <Box minH="12" aria-live="polite">
          {view.isLost && <Text role="alert">The line is not heard just now; the call is taken up again.</Text>}
          <Status view={view} names={names} />
        </Box>
        <Keypad isOff={isOver} onPress={(key) => handset.press(key)} />
        {!isOver && <SpokenWords onSpeak={(words) => handset.speak(words)} />}
        <Flex gap="1.5" mt="2">
          {!isOver && <Microphone handset={handset} view={view} />}
          {isOver ? (
            <Button flex="1" colorPalette="petrol" onClick={() => handset.again()}>
              <Phone size={16} aria-hidden /> Call again
            </Button>
          ) : (
            <Button flex="1" variant="outline" bg="sheet" onClick={() => handset.hangUp()}>
              <PhoneOff size={16} aria-hidden /> Hang up
            </Button>
          )}
        </Flex>
      </Box>
    </>
  );
}

function Status({ view, names }: Omit<CallProps, 'handset'>) {
  const first = view.transcript[0];
  const last = view.transcript.at(-1);
  if (view.status === 'over') return <Text>Call over after {showLength((last?.atMs ?? 0) - (first?.atMs ?? 0))}.</Text>;
  if (view.isRecording) {
    return (
      <Text>
        <b>Speak now.</b> {view.microphone === 'on' ? '' : 'Let your voice be heard first. '}Press # when done, or hang
        up. <Elapsed label="Length of the message" />
      </Text>
    );
  }
  const who = view.talksTo ? targetName(view.talksTo, names) : '';
  switch (view.phase) {
    case 'connected':
      return <Text>You are talking to {who}.</Text>;
    case 'onHold':
      return <Text>{who} has put you on hold.</Text>;
    case 'inQueue':
      return <Waiting view={view} />;
    case 'menuWaiting':
      return <Text color="quiet">Waiting for a key …</Text>;
    case 'ringing':
    case 'ringingGroup':
    case 'accepting':
    case 'handingOver':
      return <Text color="quiet">It rings …</Text>;
    default:
      return null;
  }
}

function Waiting({ view }: { readonly view: LiveHandsetView }) {
  const [since] = useState(() => Date.now());
  const now = useNow(1000);
  const place = view.transcript.findLast((entry) => entry.type === 'place');
  return (
    <Text>
      You wait in line
      {place?.type === 'place' ? `, number ${place.place}` : ''}:{' '}
      <Text as="span" fontFamily="mono">
        {showLength(Math.max(0, now - since))}
      </Text>
    </Text>
  );
}

function Microphone({ handset, view }: Omit<CallProps, 'names'>) {
  const isOn = view.microphone === 'on';
  return (
    <Button
      variant="outline"
      bg="sheet"
      aria-pressed={isOn}
      title={view.microphone === 'refused' ? 'No microphone can be used here' : undefined}
      onClick={() => void handset.setMicrophone(!isOn)}
    >
      {isOn ? <Mic size={16} aria-hidden /> : <MicOff size={16} aria-hidden />}
      {view.microphone === 'refused' ? 'No microphone' : isOn ? 'Your voice is heard' : 'Speak'}
    </Button>
  );
}
