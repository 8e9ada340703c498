import { countryOf, exampleNumber } from '@locutor/core/directory';
import { Box, Button, Flex, Heading, IconButton, Text } from '@chakra-ui/react';
import type { Tell } from '@locutor/core/directory';
import { isKey } from '@locutor/core/line';
import { Phone, PhoneOff, X } from 'lucide-react';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { mutate } from 'swr';
import { api } from '../api/client';
import { useOnAir } from '../api/resources';
import { DeskDock } from '../live/DeskDock';
import { useHandsetDock } from '../app/handsetDock';
import { useAttendantPart, useDraftTools } from '../draft/DraftProvider';
import { InlineSelect } from '../parts/InlineSelect';
import { answeringPartOf } from '../draft/answeringPart';
import { isTyping } from '../parts/isTyping';
import { useNow } from '../parts/useNow';
import { CallerField } from './CallerField';
import { callerOf } from './callerOf';
import { CallDriver } from './callDriver';
import { callMoments, momentMs } from './callMoments';
import { Captions } from './Captions';
import { CallStatus } from './CallStatus';
import { SpokenWords } from './SpokenWords';
import { nothingKept, useCallScript } from './useCallScript';
import { KeepCall } from './KeepCall';
import { Keypad } from './Keypad';
import { useKeyDown } from '../parts/useKeyDown';
import { MomentField } from '../parts/MomentField';

type Which = 'draft' | 'onAir' | 'version';

/** The simulated phone of a caller: calls the draft or what is on air, at any pretended moment. */
export function Handset() {
  const { setOpen, version } = useHandsetDock();
  const [driver, setDriver] = useState<CallDriver | null>(null);
  const [phone, setPhone] = useState<'handset' | 'desk'>('handset');
  return (
    <Flex
      as="aside"
      aria-label="Handset"
      direction="column"
      w={{ base: '100%', md: '312px' }}
      flexShrink="0"
      borderLeftWidth={{ md: '1px' }}
      borderTopWidth={{ base: '1px', md: '0' }}
      borderColor="hairline"
      bg="sunk"
      minH="0"
      maxH={{ base: '70dvh', md: 'none' }}
    >
      <Flex align="center" px="4" pt="3" pb="1" gap="1">
        <Heading as="h2" srOnly>
          Phones
        </Heading>
        <PhoneTab name="Handset" isOpen={phone === 'handset'} onOpen={() => setPhone('handset')} />
        <PhoneTab name="Desk phones" isOpen={phone === 'desk'} onOpen={() => setPhone('desk')} />
        <IconButton ml="auto" size="xs" variant="ghost" aria-label="Close the handset" onClick={() => setOpen(false)}>
          <X size={15} />
        </IconButton>
      </Flex>
      {phone === 'desk' && <DeskDock />}
      <Flex direction="column" flex="1" minH="0" display={phone === 'handset' ? 'flex' : 'none'}>
        {driver && <Call driver={driver} onAgain={() => setDriver(null)} />}
        {/* Whom and when to call stays as it was chosen, for the next call. */}
        <Box display={driver ? 'none' : 'block'} overflow="auto">
          <Dialling key={version?.id} onDial={setDriver} />
        </Box>
      </Flex>
    </Flex>
  );
}

interface TabProps {
  readonly name: string;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

function PhoneTab({ name, isOpen, onOpen }: TabProps) {
  return (
    <Button size="xs" variant={isOpen ? 'subtle' : 'ghost'} aria-pressed={isOpen} onClick={onOpen}>
      {name}
    </Button>
  );
}

function Dialling({ onDial }: { readonly onDial: (driver: CallDriver) => void }) {
  const { line, hours, names, store, switched } = useDraftTools();
  const attendant = useAttendantPart(answeringPartOf);
  const onAir = useOnAir(line);
  const callScript = useCallScript();
  const { version } = useHandsetDock();
  const [wanted, setWhich] = useState<Which>(version ? 'version' : 'draft');
  const which = wanted === 'version' && !version ? 'draft' : wanted;
  const kept = which === 'version' ? version : which === 'onAir' ? onAir : undefined;
  const [reading, setReading] = useState<string | null>(null);
  const [callerNumber, setCallerNumber] = useState(() => exampleNumber(countryOf(line)));
  const now = useNow(30_000, switched?.fromMs);
  const called = kept?.attendant ?? attendant;
  const moments = useMemo(
    () => callMoments(called, hours, line.timeZone, names, now, switched),
    [called, hours, line.timeZone, names, now, switched],
  );

  const dial = (): void => {
    // What was typed a moment ago is called too.
    const called = kept?.attendant ?? store.getSnapshot().history.present;
    // What is on air goes by the directory as it is now; an earlier version is called as it was.
    const keptThen = kept && (which === 'onAir' ? { greetings: kept.greetings, takes: kept.takes } : kept);
    const script = callScript.make(called, keptThen ?? nothingKept);
    const caller = callerOf(callerNumber, countryOf(line));
    const driver = new CallDriver({
      script,
      startsAtMs: momentMs(reading, line.timeZone, Date.now()),
      callerNumber: caller,
      leaveMessage: (boxId, audio, tell) => leaveMessage(boxId, audio, tell, caller, which !== 'onAir'),
    });
    onDial(driver);
    driver.dial();
  };

  return (
    <Box px="4" py="2" overflow="auto">
      <Text>
        Call{' '}
        <InlineSelect
          label="What to call"
          value={which}
          choices={[
            { value: 'draft', label: 'the draft' },
            ...(onAir ? [{ value: 'onAir', label: 'what is on air' }] : []),
            ...(version ? [{ value: 'version', label: `version ${version.number}, as it was` }] : []),
          ]}
          onChange={(value) => setWhich(value as Which)}
        />
      </Text>
      <Text mt="4" fontSize="12px" color="quiet" id="moments">
        At this moment
      </Text>
      <Flex direction="column" gap="1" mt="1" role="group" aria-labelledby="moments">
        {moments.map((moment) => (
          <Button
            key={moment.name}
            size="sm"
            justifyContent="flex-start"
            px="2.5"
            fontWeight="400"
            variant={moment.reading === reading ? 'subtle' : 'ghost'}
            colorPalette={moment.reading === reading ? 'petrol' : 'gray'}
            aria-pressed={moment.reading === reading}
            onClick={() => setReading(moment.reading)}
          >
            <Text as="span" truncate>
              {moment.name}
            </Text>
            {moment.reading && (
              <Text as="span" ml="auto" flexShrink="0" fontFamily="mono" fontSize="12px">
                {showReading(moment.reading)}
              </Text>
            )}
          </Button>
        ))}
      </Flex>
      <Text mt="3" mb="1" fontSize="12px" color="quiet" aria-hidden>
        Or any moment, by the line’s clock
      </Text>
      <MomentField
        label="Or any moment, by the line’s clock"
        value={reading ?? ''}
        onChange={(value) => setReading(value || null)}
      />
      <CallerField value={callerNumber} onChange={setCallerNumber} />
      <Button mt="5" w="100%" colorPalette="petrol" disabled={callScript.isLoading} onClick={dial}>
        <Phone size={16} aria-hidden /> Call
      </Button>
      <Text mt="3" fontSize="12.5px" color="quiet">
        You are the caller: listen, press keys, and speak after the beep. Whoever is rung shows up here, for you to
        answer or not. To call the live line, with desk phones that ring,{' '}
        <Text asChild textDecoration="underline">
          <a href="/handset" target="_blank" rel="noreferrer">
            open a handset in a window of its own
          </a>
        </Text>
        .
      </Text>
    </Box>
  );
}

function Call({ driver, onAgain }: { readonly driver: CallDriver; readonly onAgain: () => void }) {
  const { names } = useDraftTools();
  const view = useSyncExternalStore(driver.subscribe, driver.getView);
  const isOver = view.state.phase.type === 'ended';
  useEffect(() => () => driver.hangUp(), [driver]);
  useKeyDown(
    (event) => {
      if (!isKey(event.key) || isOver || isTyping(event.target) || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      driver.press(event.key);
    },
    { first: true },
  );

  return (
    <>
      <Captions transcript={view.transcript} speaking={view.speaking} unheard={view.unheard} names={names} />
      <Box px="4" pb="4" pt="2" borderTopWidth="1px" borderColor="hairline">
        <CallStatus driver={driver} view={view} names={names} />
        <Keypad isOff={isOver} onPress={(key) => driver.press(key)} />
        {!isOver && <SpokenWords onSpeak={(words) => driver.speak(words)} />}
        {isOver && <KeepCall transcript={view.transcript} />}
        {isOver ? (
          <Button mt="2" w="100%" colorPalette="petrol" onClick={onAgain}>
            <Phone size={16} aria-hidden /> Call again
          </Button>
        ) : (
          <Button mt="2" w="100%" variant="outline" bg="sheet" onClick={() => driver.hangUp()}>
            <PhoneOff size={16} aria-hidden /> Hang up
          </Button>
        )}
      </Box>
    </>
  );
}

async function leaveMessage(
  boxId: string,
  audio: Blob,
  tell: readonly Tell[],
  callerNumber: string,
  trial: boolean,
): Promise<void> {
  const form = new FormData();
  form.set('callerNumber', callerNumber);
  form.set('trial', String(trial));
  form.set('tell', JSON.stringify(tell));
  form.set('audio', audio, 'message.wav');
  await api(`/api/boxes/${boxId}/messages`, { method: 'POST', body: form });
  await mutate('/api/messages');
}

/** A clock reading in the user's own format: "Mon 8:30 AM". */
function showReading(reading: string): string {
  const format = { timeZone: 'UTC', weekday: 'short', hour: 'numeric', minute: '2-digit' } as const;
  return new Intl.DateTimeFormat(undefined, format).format(Date.parse(`${reading}Z`));
}
