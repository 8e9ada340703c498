import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import type { BoardCall, BoardSays } from '@locutor/core/exchange';
import type { TimeZone } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { Link } from 'react-router';
import { targetName } from '../handset/captionWords';
import { showLength, showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';
import { callerName } from './CallerLine';
import { MicrophoneButton } from './MicrophoneButton';
import { useBoard } from './useBoard';
import { useSheetNames } from './useSheetNames';

/** The calls in progress, each with where it is, for how long, and who rings or talks; and who waits in the queues. */
export function Switchboard({ names: known, timeZone }: { readonly names: Names; readonly timeZone: TimeZone }) {
  const { view, aheadMs, microphone, say, setMicrophone } = useBoard();
  const names = { ...known, ...useSheetNames() };
  const realMs = useNow(1000);
  const nowMs = realMs + aheadMs;
  if (!view) return <Text color="quiet">Connecting to the line …</Text>;
  const { calls, callsInAll, queues } = view.board;
  const waiting = queues.filter(({ waitsSinceMs }) => waitsSinceMs.length > 0);
  if (calls.length === 0) {
    return (
      <Text color="quiet">
        Nobody is on the line.{' '}
        <Text asChild textDecoration="underline">
          <a href="/handset" target="_blank" rel="noreferrer">
            Call it from a handset
          </a>
        </Text>
        {view.isPretended ? '. It believes that it is another moment.' : '.'}
      </Text>
    );
  }
  return (
    <Box overflowX="auto">
      {view.isPretended && (
        <Text mb="1" fontSize="13px" color="quiet">
          The line believes that it is {showWhen(nowMs, timeZone, realMs)}.
        </Text>
      )}
      {waiting.map(({ queueId, waitsSinceMs }) => (
        <Text key={queueId} mb="1">
          <b>{names[queueId] ?? 'A queue'}</b>: {waitsSinceMs.length} waiting, the first for{' '}
          <Mono>{showLength(nowMs - (waitsSinceMs[0] ?? nowMs))}</Mono>
        </Text>
      ))}
      <Table.Root size="sm" aria-label="Calls in progress">
        <Table.Header>
          <Table.Row bg="transparent">
            <Table.ColumnHeader>Caller</Table.ColumnHeader>
            <Table.ColumnHeader>Where</Table.ColumnHeader>
            <Table.ColumnHeader>Now</Table.ColumnHeader>
            <Table.ColumnHeader textAlign="end">On the line</Table.ColumnHeader>
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {calls.map((call) => (
            <Table.Row key={call.callId} bg="transparent">
              <Table.Cell fontFamily={call.staffCaller ? undefined : 'mono'} fontSize="13px">
                {callerName(call, names)}
              </Table.Cell>
              <Table.Cell>
                <Place call={call} names={names} />
              </Table.Cell>
              <Table.Cell>
                {doingWords(call, names)} <OutsideActs call={call} say={say} />
              </Table.Cell>
              <Table.Cell textAlign="end">
                <Mono>{showLength(Math.max(0, nowMs - call.sinceMs))}</Mono>
              </Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
      {calls.some(({ outside, phase }) => outside && phase === 'connected') && (
        <Flex mt="2" gap="2" align="center" wrap="wrap">
          <MicrophoneButton state={microphone} onTurn={setMicrophone} />
          <Text fontSize="12.5px" color="quiet">
            You stand in for the outside phones you answer here.
          </Text>
        </Flex>
      )}
      {callsInAll > calls.length && (
        <Text mt="1" color="quiet">
          and {(callsInAll - calls.length).toLocaleString()} more.
        </Text>
      )}
    </Box>
  );
}

/** An outside phone has nobody here: whoever looks stands in for it. */
function OutsideActs({ call, say }: { readonly call: BoardCall; readonly say: (message: BoardSays) => void }) {
  const isRung = call.rung.some(({ type }) => type === 'outside');
  const act = (act: BoardSays['act'], words: string) => (
    <Button
      size="2xs"
      minH="24px"
      variant="outline"
      bg="sheet"
      onClick={() => say({ type: 'outside', callId: call.callId, act })}
    >
      {words}
    </Button>
  );
  if (call.phase === 'accepting' && isRung) {
    return (
      <Flex as="span" display="inline-flex" gap="1">
        {act('accept', 'They press 1')}
        {act('hangUp', 'They hang up')}
      </Flex>
    );
  }
  if (isRung) {
    return (
      <Flex as="span" display="inline-flex" gap="1">
        {act('answer', 'They answer')}
        {act('busy', 'Busy')}
        {act('noSuchNumber', 'No such number')}
      </Flex>
    );
  }
  return call.outside ? act('hangUp', 'They hang up') : null;
}

/** The line of the script that a call is at, and the way there. */
function Place({ call: { cameBy, queueId }, names }: { readonly call: BoardCall; readonly names: Names }) {
  if (queueId) return <Link to={`/directory/queues/${queueId}`}>{names[queueId] ?? 'a queue'}</Link>;
  if (!cameBy) return null;
  const key = cameBy.key ? `?key=${encodeURIComponent(cameBy.key)}` : '';
  return (
    <Text asChild textDecoration="underline" textDecorationColor="hairline">
      <Link to={`/script/${cameBy.sheetId}${key}`}>
        {names[cameBy.sheetId] ?? 'a deleted menu'}
        {cameBy.key ? `, key ${cameBy.key}` : ''}
      </Link>
    </Text>
  );
}

function doingWords(call: BoardCall, names: Names): string {
  const partner = call.talkingTo
    ? (names[call.talkingTo] ?? 'somebody')
    : call.outside
      ? targetName(call.outside, names)
      : '';
  if (call.phase === 'onHold') return `On hold, by ${partner}`;
  if (call.phase === 'connected') return `Talking to ${partner}`;
  const rung = call.rung.map((phone) => targetName(phone, names)).join(', ');
  if (call.phase === 'handingOver') return `Is handed over to ${rung}`;
  if (rung) return `Rings ${rung}`;
  return phaseWords[call.phase] ?? 'Hears words';
}

const phaseWords: Partial<Record<BoardCall['phase'], string>> = {
  menuSpeaking: 'Hears the menu',
  menuWaiting: 'A key is waited for',
  menuDialling: 'Dials an extension',
  askWaiting: 'Types digits',
  inQueue: 'Waits',
  queuing: 'Waits',
  recording: 'Leaves a message',
  boxGreeting: 'Hears a box’s greeting',
  ringing: 'Rings',
  ringingGroup: 'Rings',
  hearingMessages: 'Hears messages',
};

function Mono({ children }: { readonly children: string }) {
  return (
    <Text as="span" fontFamily="mono" fontSize="13px">
      {children}
    </Text>
  );
}
