import { Box, Button, Flex, Input, Table, Text } from '@chakra-ui/react';
import { outcomeWords } from '@locutor/core/traffic';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCalls, useSettings, type CallsWanted, type LoggedCall } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { showLength, showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { callerName } from '../../live/CallerLine';
import { targetNameOf } from './answeredWords';
import { TrafficPage } from './TrafficPage';
import { useNamesThen } from './useNamesThen';
import { describeBehind, outcomeChoices, wantedBehind, type BehindAsked } from './behind';
import { LogFilters } from './LogFilters';
import { useAddress } from './useAddress';
import { useSheetNames } from '../../live/useSheetNames';

const dayMs = 86_400_000;
const spans = [
  { value: '1', label: 'the last 24 hours' },
  { value: '7', label: 'the last 7 days' },
  { value: '30', label: 'the last 30 days' },
  { value: 'all', label: 'all time' },
] as const;
const pageCalls = 100;

/** The call log: every call, found by whom, when and what it came to. */
export function CallLog() {
  const [search, setSearch] = useState('');
  const [span, setSpan] = useState('all');
  const [skip, setSkip] = useState(0);
  const [since] = useState(() => Date.now());
  const [address, change] = useAddress();
  const names = { ...useNamesThen(), ...useSheetNames() };
  const behind = wantedBehind(address);
  const wanted: CallsWanted = {
    ...behind,
    ...(search.trim() ? { search: search.trim() } : {}),
    ...(span === 'all' ? {} : { fromMs: String(since - Number(span) * dayMs) }),
  };
  const { data, error } = useCalls({ ...wanted, skip: String(skip) });
  const { data: settings } = useSettings();
  const narrowed = Object.keys(wanted).length > 0;
  const described = describeBehind(address, names);
  const filter = (asked: BehindAsked | Readonly<Record<string, null>>): void => {
    change(asked as Record<string, string | null>);
    setSkip(0);
  };
  const set =
    (change: (value: string) => void) =>
    (value: string): void => {
      change(value);
      setSkip(0);
    };
  return (
    <TrafficPage
      actions={
        <Button asChild size="sm" variant="outline" bg="sheet">
          <a href={`/api/calls/csv?${new URLSearchParams(wanted).toString()}`} download="calls.csv">
            <Download size={14} aria-hidden /> Save as CSV
          </a>
        </Button>
      }
    >
      <Box maxW="1000px">
        {Object.keys(behind).length > 0 && (
          <Flex gap="3" align="center" wrap="wrap" mb="3">
            {described && <Text>{described}</Text>}
            <Button
              size="xs"
              variant="outline"
              bg="sheet"
              onClick={() => filter(Object.fromEntries(Object.keys(behind).map((name) => [name, null])))}
            >
              All calls
            </Button>
          </Flex>
        )}
        <Flex gap="3" align="center" wrap="wrap" mb="2">
          <Input
            size="sm"
            w="230px"
            bg="sheet"
            type="search"
            aria-label="Search calls"
            placeholder="Number, name, or what was chosen"
            value={search}
            maxLength={80}
            onChange={(event) => set(setSearch)(event.currentTarget.value)}
          />
          <Text>
            <InlineSelect
              label="Outcome"
              value={address.get('outcome') ?? 'any'}
              choices={outcomeChoices}
              onChange={(value) => filter({ outcome: value === 'any' ? null : value } as BehindAsked)}
            />{' '}
            of <InlineSelect label="How far back" value={span} choices={spans} onChange={set(setSpan)} />
          </Text>
          <LogFilters address={address} onFilter={filter} />
          <Text color="quiet" fontSize="13px" ml="auto">
            {data ? `${data.inAll.toLocaleString()} ${data.inAll === 1 ? 'call' : 'calls'}` : ''}
          </Text>
        </Flex>
        {error && <Text role="alert">The calls could not be read. {error.message}</Text>}
        {!data && !error && <Text color="quiet">Reading the log …</Text>}
        {data && data.calls.length > 0 && <CallTable calls={data.calls} />}
        {data?.calls.length === 0 && (
          <Text py="3">
            {narrowed
              ? 'No call matches.'
              : 'No calls yet. Every call on the live line is written down here, with each step and its seconds.'}
          </Text>
        )}
        {data && data.inAll > pageCalls && (
          <Flex gap="2" mt="3" align="center">
            <Button
              size="xs"
              variant="outline"
              bg="sheet"
              disabled={skip === 0}
              onClick={() => setSkip(skip - pageCalls)}
            >
              Newer
            </Button>
            <Button
              size="xs"
              variant="outline"
              bg="sheet"
              disabled={skip + pageCalls >= data.inAll}
              onClick={() => setSkip(skip + pageCalls)}
            >
              Older
            </Button>
          </Flex>
        )}
        {settings && (
          <Text mt="4" fontSize="13px" color="quiet">
            Calls are kept for {settings.keepCallsDays} days.{' '}
            <Text asChild textDecoration="underline">
              <Link to="/settings">Change it in Settings</Link>
            </Text>
          </Text>
        )}
      </Box>
    </TrafficPage>
  );
}

function CallTable({ calls }: { readonly calls: readonly LoggedCall[] }) {
  const { line } = useDraftTools();
  const names = useNamesThen();
  const now = useNow(60_000);
  return (
    <Table.Root size="sm" aria-label="Calls">
      <Table.Header>
        <Table.Row bg="transparent">
          <Table.ColumnHeader>When</Table.ColumnHeader>
          <Table.ColumnHeader>Caller</Table.ColumnHeader>
          <Table.ColumnHeader>Line</Table.ColumnHeader>
          <Table.ColumnHeader>Outcome</Table.ColumnHeader>
          <Table.ColumnHeader textAlign="end">Length</Table.ColumnHeader>
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {calls.map((call) => (
          <Table.Row key={call.id} bg="transparent" _hover={{ bg: 'sunk' }}>
            <Table.Cell>
              <Text asChild color="petrol.fg" textDecoration="underline">
                <Link to={`/traffic/calls/${call.id}`}>{showWhen(call.startedAt, line.timeZone, now)}</Link>
              </Text>
              {call.pretended && (
                <Text as="span" fontSize="12.5px" color="quiet">
                  {' '}
                  pretended
                </Text>
              )}
            </Table.Cell>
            <Table.Cell fontFamily={call.staffCaller ? undefined : 'mono'} fontSize="13px">
              {callerName(call, names)}
            </Table.Cell>
            <Table.Cell>{names[call.lineId] ?? 'a deleted line'}</Table.Cell>
            <Table.Cell>
              {call.outcome ? outcomeWords[call.outcome] : 'Goes on'}
              {call.answeredBy && ` by ${targetNameOf(call.answeredBy, names)}`}
              {call.recordingId && ', recorded'}
            </Table.Cell>
            <Table.Cell textAlign="end" fontFamily="mono" fontSize="13px">
              {call.endedAt === null ? '' : showLength(call.endedAt - call.startedAt)}
            </Table.Cell>
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
  );
}
