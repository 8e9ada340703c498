import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Unreached } from '@locutor/core/call';
import type { LegActs } from '@locutor/core/exchange';
import { secondsPerRing, type Names } from '@locutor/core/line';
import { useState } from 'react';
import { Link } from 'react-router';
import { useNow } from '../parts/useNow';
import { showLength } from '../parts/time';
import type { CallDriver, CallView, RungNow } from './callDriver';
import { targetName } from './captionWords';
import { Elapsed } from '../parts/Elapsed';

interface Props {
  readonly driver: CallDriver;
  readonly view: CallView;
  readonly names: Names;
}

/** What the call is doing now, and what the one who is rung can do about it. */
export function CallStatus({ driver, view, names }: Props) {
  const { phase } = view.state;
  return (
    <Box minH="14" maxH="240px" overflow="auto" mb="2" aria-live="polite">
      {view.rung.map((rung) =>
        rung.does === 'isAsked' ? (
          <Accepting key={rung.id} driver={driver} rung={rung} names={names} />
        ) : (
          <Rung key={rung.id} driver={driver} rung={rung} names={names} />
        ),
      )}
      {(phase.type === 'connected' || phase.type === 'onHold') && (
        <Flex align="center" gap="2" wrap="wrap">
          <Text flex="1 1 140px">
            {phase.type === 'onHold' ? `${targetName(phase.target, names)} has put you on hold.` : ''}
            {phase.type === 'connected' ? `You are talking to ${targetName(phase.target, names)}.` : ''}
          </Text>
          <Button size="xs" variant="outline" bg="sheet" onClick={() => driver.hold(phase.type === 'connected')}>
            {phase.type === 'connected' ? 'They put you on hold' : 'They come back'}
          </Button>
          <Button size="xs" variant="outline" bg="sheet" onClick={() => driver.staffHangsUp()}>
            They hang up
          </Button>
        </Flex>
      )}
      {phase.type === 'inQueue' && (
        <Text>
          You wait in <b>{names[phase.queueId] ?? 'a queue'}</b>
          {view.rung.length === 0 && '. Nobody is free for the moment'}.
        </Text>
      )}
      {phase.type === 'menuWaiting' && <Text color="quiet">Waiting for a key …</Text>}
      {(phase.type === 'menuDialling' || phase.type === 'askWaiting') && (
        <Text color="quiet">
          Waiting for {phase.digits ? 'another digit' : 'you to press'} …{' '}
          <Text as="span" fontFamily="mono">
            {phase.digits}
          </Text>
        </Text>
      )}
      {phase.type === 'recording' && <Speaking view={view} />}
      {phase.type === 'ended' && <AfterCall view={view} />}
      {view.isMute && phase.type !== 'ended' && (
        <Text fontSize="12.5px">The voice cannot be had just now; the words go on without it.</Text>
      )}
    </Box>
  );
}

interface RungProps {
  readonly driver: CallDriver;
  readonly rung: RungNow;
  readonly names: Names;
}

function Accepting({ driver, rung, names }: RungProps) {
  return (
    <Box mb="1">
      <Text>
        <b>{targetName(rung.phone, names)}</b> picked up and hears: “Press 1 to take the call.” You hear it ring on.
      </Text>
      <Flex gap="1.5" mt="1">
        <Button size="xs" colorPalette="petrol" onClick={() => driver.act(rung, { type: 'pressed', key: '1' })}>
          They press 1
        </Button>
        <Button size="xs" variant="outline" bg="sheet" onClick={() => driver.act(rung, { type: 'hungUp' })}>
          They hang up
        </Button>
      </Flex>
    </Box>
  );
}

const unreached = (why: Unreached): LegActs => ({ type: 'unreached', why });

function Rung({ driver, rung, names }: RungProps) {
  const now = useNow(500);
  const [since] = useState(() => Date.now());
  const seconds = Math.max(0, Math.floor((now - since) / 1000));
  const rings = Math.floor(seconds / secondsPerRing) + 1;
  return (
    <Box mb="1">
      <Text>
        <b>{targetName(rung.phone, names)}</b> is ringing{' '}
        <Text as="span" fontFamily="mono" fontSize="12.5px" color="quiet">
          {seconds} s, ring {rings}
        </Text>
      </Text>
      <Flex gap="1.5" mt="1">
        <Button size="xs" colorPalette="petrol" onClick={() => driver.act(rung, { type: 'answered' })}>
          Answer
        </Button>
        <Button size="xs" variant="outline" bg="sheet" onClick={() => driver.act(rung, unreached('busy'))}>
          Busy
        </Button>
        {rung.phone.type === 'outside' && (
          <Button size="xs" variant="outline" bg="sheet" onClick={() => driver.act(rung, unreached('noSuchNumber'))}>
            No such number
          </Button>
        )}
        <Text fontSize="12px" color="quiet" alignSelf="center">
          or let it ring
        </Text>
      </Flex>
    </Box>
  );
}

const quietestDb = -60;

function Speaking({ view }: { view: CallView }) {
  const part = Math.max(0, Math.min(1, 1 - view.levelDb / quietestDb));
  return (
    <Box>
      <Text>
        <b>Speak now.</b> Press # when done, or hang up. <Elapsed label="Length of the message" />
      </Text>
      {view.microphone ? (
        <Text fontSize="12.5px">
          {view.microphone === 'refused'
            ? 'The browser does not let Locutor use the microphone: the message will be silent.'
            : 'No microphone was found: the message will be silent.'}
        </Text>
      ) : (
        <Box
          mt="1.5"
          h="6px"
          bg="hairline"
          borderRadius="full"
          role="meter"
          aria-label="Loudness"
          aria-valuenow={Math.round(part * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
        >
          <Box h="100%" w={`${part * 100}%`} bg="petrol.solid" borderRadius="full" />
        </Box>
      )}
    </Box>
  );
}

function AfterCall({ view: { messageLeft, transcript } }: { view: CallView }) {
  const [first, last] = [transcript[0], transcript.at(-1)];
  return (
    <Box>
      <Text>Call over after {showLength((last?.atMs ?? 0) - (first?.atMs ?? 0))}.</Text>
      {messageLeft === 'sending' && <Text color="quiet">Keeping the message …</Text>}
      {messageLeft === 'sent' && (
        <Text>
          Your message is in{' '}
          <Text asChild color="petrol.fg" textDecoration="underline">
            <Link to="/messages">Messages</Link>
          </Text>
          .
        </Text>
      )}
      {typeof messageLeft === 'object' && <Text role="alert">The message was not kept: {messageLeft.problem}</Text>}
    </Box>
  );
}
