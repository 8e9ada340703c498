import { Box, Button, Text } from '@chakra-ui/react';
import {
  exitKeys,
  longestName,
  queueLimits,
  queueReasons,
  ringingOrders,
  type ExitKey,
  type Queue,
} from '@locutor/core/directory';
import type { GreetingId } from '@locutor/core/line';
import { Pause, Play } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useGreetings, useQueues, type KeptQueue } from '../../api/resources';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { SpokenField } from '../../parts/SpokenField';
import { useRowDraft } from '../../saving/useRowDraft';
import { AddRow } from './AddRow';
import { Fallback } from './Fallback';
import { MembershipHead } from './MembershipHead';
import { ClosedLines } from './ClosedLines';
import { MembershipLines, orderWords, WorkingLines } from './MembershipLines';
import { NewField } from './NewField';
import { RowChoice } from './RowChoice';
import { WaitingParts } from './WaitingParts';

const list = '/api/queues';
const to = '/directory/queues';
const orders = [...ringingOrders, 'pick'] as const;

/** Where callers wait in turn. */
export function Queues() {
  const queues = useQueues();
  const { rowId } = useParams();
  const chosen = queues.find(({ id }) => id === rowId) ?? queues[0];
  return (
    <>
      {queues.length === 0 && (
        <Text py="2">
          No queues yet. In a queue callers wait their turn, with music and words, until somebody is free.
        </Text>
      )}
      <RowChoice
        label="Queues"
        to={to}
        rows={queues}
        chosen={chosen}
        add={<AddQueue />}
        about={({ members, order, paused }) => (paused ? 'Paused' : `${members.length} · ${orderWords[order]}`)}
      >
        {chosen && <QueueEditor key={chosen.id} queue={chosen} />}
      </RowChoice>
    </>
  );
}

type Change = (changes: Partial<KeptQueue>) => void;

function QueueEditor({ queue }: { readonly queue: KeptQueue }) {
  const taken = useQueues().flatMap(({ id, name }) => (id === queue.id ? [] : [name]));
  const { row, change, ...saving } = useRowDraft(list, queue);
  return (
    <Box role="region" aria-label={`Queue ${queue.name}`}>
      <MembershipHead list={list} taken={taken} kind="queue" row={row} saving={saving} onChange={change} />
      <PauseLine row={row} onChange={change} />
      <SpokenField
        label="Said once, on entry"
        placeholder="Nothing"
        value={row.entryWords}
        onChange={(entryWords) => change({ entryWords })}
      />
      <WaitingParts of={row.name} parts={row.waiting} onChange={(waiting) => change({ waiting })} />
      <PlaceLine row={row} onChange={change} />
      <LimitLine row={row} onChange={change} />
      <Box mt="4">
        <MembershipLines row={row} orders={orders} onChange={change}>
          ; who did not answer is tried again after{' '}
          <InlineNumber
            label={`When members of ${row.name} are tried again, in seconds`}
            value={row.retrySeconds}
            least={queueLimits.retrySeconds.least}
            most={queueLimits.retrySeconds.most}
            step={5}
            onChange={(retrySeconds) => change({ retrySeconds })}
          />{' '}
          s
        </MembershipLines>
      </Box>
      <WorkingLines row={row} onChange={change} />
      <ClosedLines row={row} slotFor={(reason) => ({ type: 'queue', queueId: row.id, reason })} onChange={change} />
      <HoldLine row={row} onChange={change} />
      <Box mt="4">
        {leavingReasons.map((reason) => (
          <Fallback
            key={reason}
            slot={{ type: 'queue', queueId: row.id, reason }}
            when={reasonWords[reason](row)}
            of={`${row.name}, ${reason}`}
          />
        ))}
        <Text color="quiet" fontSize="13px">
          Then the next step of the script follows, if there is one. These are part of this line’s script, and go on air
          with it.
        </Text>
      </Box>
    </Box>
  );
}

/** Those of closed times stand with the hours. */
const leavingReasons = queueReasons.filter((reason) => reason !== 'closed' && reason !== 'special');
type LeavingReason = (typeof leavingReasons)[number];

const reasonWords: Readonly<Record<LeavingReason, (queue: Queue) => string>> = {
  full: ({ mostCallers }) => `If ${mostCallers} wait already`,
  tooLong: ({ longestWaitSeconds }) => `After ${longestWaitSeconds} s of waiting`,
  nobodyWorking: () => 'If nobody is working',
  exitKey: ({ exitKey }) => (exitKey ? `If they press ${exitKey}` : 'With no key to leave'),
};

function PauseLine({ row, onChange }: { readonly row: KeptQueue; readonly onChange: Change }) {
  return (
    <Box mb="3">
      <Button size="xs" variant="outline" bg="sheet" onClick={() => onChange({ paused: !row.paused })}>
        {row.paused ? <Play size={13} aria-hidden /> : <Pause size={13} aria-hidden />}
        {row.paused ? 'Take callers again' : 'Pause the queue'}
      </Button>{' '}
      {row.paused && (
        <Text as="span" fontSize="13px">
          Paused: new callers go on as if nobody were working. Those who wait are still answered.
        </Text>
      )}
    </Box>
  );
}

function PlaceLine({ row, onChange }: { readonly row: KeptQueue; readonly onChange: Change }) {
  const { placeEverySeconds, saysExpectedWait, name } = row;
  const usual = queueLimits.placeEverySeconds.usual;
  const value = placeEverySeconds === null ? 'never' : saysExpectedWait ? 'both' : 'place';
  return (
    <Box lineHeight="1.9" mt="2">
      Say{' '}
      <InlineSelect
        label={`Whether ${name} says the place in line`}
        value={value}
        choices={[
          { value: 'both', label: 'the place in line and the expected wait' },
          { value: 'place', label: 'the place in line' },
          { value: 'never', label: 'nothing about the wait' },
        ]}
        onChange={(next) =>
          onChange({
            placeEverySeconds: next === 'never' ? null : (placeEverySeconds ?? usual),
            saysExpectedWait: next === 'both',
          })
        }
      />
      {placeEverySeconds !== null && (
        <>
          {' '}
          every{' '}
          <InlineNumber
            label={`How often ${name} says the place, in seconds`}
            value={placeEverySeconds}
            least={queueLimits.placeEverySeconds.least}
            most={queueLimits.placeEverySeconds.most}
            step={15}
            onChange={(seconds) => onChange({ placeEverySeconds: seconds })}
          />{' '}
          s
        </>
      )}
      .
    </Box>
  );
}

function LimitLine({ row, onChange }: { readonly row: KeptQueue; readonly onChange: Change }) {
  const { mostCallers, longestWaitSeconds, exitKey, name } = row;
  const isLong = longestWaitSeconds > queueLimits.longestAdvisedWaitSeconds;
  return (
    <Box lineHeight="1.9">
      At most{' '}
      <InlineNumber
        label={`Most callers in ${name}`}
        value={mostCallers}
        least={queueLimits.mostCallers.least}
        most={queueLimits.mostCallers.most}
        onChange={(most) => onChange({ mostCallers: most })}
      />{' '}
      callers wait, none longer than{' '}
      <InlineNumber
        label={`Longest wait in ${name}, in seconds`}
        value={longestWaitSeconds}
        least={queueLimits.longestWaitSeconds.least}
        most={queueLimits.longestWaitSeconds.most}
        step={30}
        onChange={(seconds) => onChange({ longestWaitSeconds: seconds })}
      />{' '}
      s.{' '}
      <InlineSelect
        label={`The key that leaves ${name}`}
        value={exitKey ?? 'none'}
        choices={[{ value: 'none', label: 'No key' }, ...exitKeys.map((key) => ({ value: key, label: `Key ${key}` }))]}
        onChange={(value) => onChange({ exitKey: value === 'none' ? null : (value as ExitKey) })}
      />{' '}
      leaves the queue.
      {isLong && (
        <Text fontSize="13px" lineHeight="1.4">
          Callers put up with two to four minutes; after that most hang up.
        </Text>
      )}
      {!exitKey && (
        <Text fontSize="13px" lineHeight="1.4">
          Without a key a caller who cannot wait can only hang up.
        </Text>
      )}
    </Box>
  );
}

function HoldLine({ row, onChange }: { readonly row: KeptQueue; readonly onChange: Change }) {
  const greetings = useGreetings();
  return (
    <Box lineHeight="1.9">
      A caller whom a member puts on hold hears{' '}
      <InlineSelect
        label={`What callers of ${row.name} hear on hold`}
        value={row.holdGreetingId ?? 'music'}
        choices={[
          { value: 'music', label: 'hold music' },
          ...greetings.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(value) => onChange({ holdGreetingId: value === 'music' ? null : (value as GreetingId) })}
      />
      .
    </Box>
  );
}

function AddQueue() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  return (
    <AddRow
      list={list}
      label="Add queue"
      isReady={name.trim() !== ''}
      body={() => ({ name })}
      onAdded={(id) => {
        setName('');
        void navigate(`${to}/${id}`);
      }}
    >
      <NewField
        label="Name of a new queue"
        placeholder="Name of the queue"
        value={name}
        most={longestName}
        onChange={setName}
      />
    </AddRow>
  );
}
