import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import type { PhoneTake } from '@locutor/core/call';
import type { PersonId } from '@locutor/core/directory';
import { presences, type DeskDoing, type DeskQueue, type Presence, type SeenCall } from '@locutor/core/exchange';
import { isKey, type Names } from '@locutor/core/line';
import { Phone, PhoneForwarded, PhoneOff } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useGroups, usePeople, useQueues } from '../api/resources';
import { Keypad } from '../handset/Keypad';
import { InlineSelect } from '../parts/InlineSelect';
import { showLength } from '../parts/time';
import { useNow } from '../parts/useNow';
import { CallerLine, callerName } from './CallerLine';
import { DeskPhone, type DeskPhoneView } from './deskPhone';
import { MicrophoneButton } from './MicrophoneButton';
import { useStore } from './store';
import { useDeskKeys } from './useDeskKeys';
import { useOwn } from './useOwn';
import { Elapsed } from '../parts/Elapsed';

interface Props {
  readonly personId: PersonId;
  readonly names: Names;
  /** Whether its ringing is heard here. */
  readonly rings: boolean;
}

/** Somebody's desk phone: what rings, the call they are on, the queues they answer, and what they can dial. */
export function DeskPanel({ personId, names, rings }: Props) {
  const phone = useOwn(personId, () => new DeskPhone(personId, rings));
  return <OpenDesk key={personId} phone={phone} personId={personId} names={names} />;
}

interface PartProps {
  readonly phone: DeskPhone;
  readonly view: DeskPhoneView;
  readonly names: Names;
  /** By the line's clock. */
  readonly nowMs: number;
}

function OpenDesk({ phone, personId, names }: { phone: DeskPhone; personId: PersonId; names: Names }) {
  const view = useStore(phone);
  const nowMs = useNow(500) + view.aheadMs;
  const { desk } = view;
  useDeskKeys(phone, desk?.doing);
  if (!desk) return <Text color="quiet">{view.isLost ? lost : 'Connecting …'}</Text>;
  const part = { phone, view, names, nowMs };
  return (
    <Flex direction="column" gap="3">
      <PresenceChoice presence={desk.presence} onChange={(presence) => phone.say({ type: 'presence', presence })} />
      {view.isLost && <Text role="alert">{lost}</Text>}
      <Box aria-live="polite" minH="12">
        <Doing {...part} doing={desk.doing} personId={personId} />
        {desk.hears && <Text>{names[desk.hears] ?? 'A colleague'} speaks to your phone.</Text>}
      </Box>
      {desk.queues.map((queue) => (
        <QueueLine key={queue.queueId} {...part} queue={queue} canPick={desk.doing.type === 'nothing'} />
      ))}
      {desk.doing.type === 'nothing' && <DialField phone={phone} wrongNumber={view.wrongNumber} />}
    </Flex>
  );
}

const lost = 'The line does not answer; it is tried again.';
const presenceWords: Readonly<Record<Presence, string>> = { here: 'Here', busy: 'Busy', away: 'Away' };

function PresenceChoice({ presence, onChange }: { presence: Presence; onChange: (presence: Presence) => void }) {
  return (
    <Flex role="group" aria-label="Status" gap="1">
      {presences.map((each) => (
        <Button
          key={each}
          size="xs"
          flex="1"
          variant={each === presence ? 'solid' : 'outline'}
          colorPalette={each === presence ? 'petrol' : 'gray'}
          bg={each === presence ? undefined : 'sheet'}
          aria-pressed={each === presence}
          onClick={() => onChange(each)}
        >
          {presenceWords[each]}
        </Button>
      ))}
    </Flex>
  );
}

function Doing({ phone, view, names, nowMs, doing, personId }: PartProps & { doing: DeskDoing; personId: PersonId }) {
  switch (doing.type) {
    case 'nothing': {
      const restMs = doing.restUntilMs - nowMs;
      return <Text color="quiet">{restMs > 0 ? `Resting for ${Math.ceil(restMs / 1000)} s.` : 'Nothing rings.'}</Text>;
    }
    case 'rungForTake':
      return (
        <Ringing>
          <Text fontSize="13px">
            Rings to record: <Seconds ms={nowMs - doing.sinceMs} />
          </Text>
          <ToRecord of={doing.of} />
          <Flex gap="1.5" mt="2">
            <Answer phone={phone} speaks />
            <Decline phone={phone} />
          </Flex>
        </Ringing>
      );
    case 'rung':
      return (
        <Ringing>
          <Text fontSize="13px">
            {doing.isAccepting
              ? 'Press 1 to take the call from'
              : doing.number
                ? 'Your outside phone rings:'
                : 'Rings:'}{' '}
            <Seconds ms={nowMs - doing.sinceMs} />
          </Text>
          <CallerLine call={doing.call} of={doing.of} personId={personId} names={names} />
          <Flex gap="1.5" mt="2">
            {doing.isAccepting ? (
              <Button size="sm" colorPalette="petrol" flex="1" onClick={() => phone.press('1')}>
                Press 1
              </Button>
            ) : (
              <Answer phone={phone} />
            )}
            <Decline phone={phone} />
          </Flex>
        </Ringing>
      );
    case 'talking':
      return <Talking phone={phone} view={view} names={names} nowMs={nowMs} doing={doing} personId={personId} />;
    case 'calling':
      return (
        <Box>
          <Text mb="2">
            {doing.talkingTo ? `Talking to ${names[doing.talkingTo] ?? 'a colleague'}.` : callingWords(doing.phase)}{' '}
            {doing.phase === 'takeRecording' && <Elapsed label="Length of the recording" />}
          </Text>
          {doing.held && <Held phone={phone} held={doing.held} talks={doing.talkingTo !== null} names={names} />}
          {doing.take && <ToRecord of={doing.take} />}
          <Keypad isOff={false} onPress={(key) => phone.press(key)} />
          <Flex mt="2" gap="1.5" align="center">
            <MicrophoneButton state={view.microphone} onTurn={(isOn) => phone.setMicrophone(isOn)} />
            <HangUp phone={phone} />
          </Flex>
        </Box>
      );
    case 'speaking':
      return (
        <Box>
          <Text>
            You speak to {doing.to.length} {doing.to.length === 1 ? 'phone' : 'phones'} of{' '}
            <b>{names[doing.groupId] ?? 'the group'}</b>:{' '}
            {doing.to.map((id) => names[id]?.split(' ')[0]).join(', ') || 'nobody is free'}.
          </Text>
          <Flex mt="2" gap="1.5" align="center">
            <MicrophoneButton state={view.microphone} onTurn={(isOn) => phone.setMicrophone(isOn)} />
            <HangUp phone={phone} />
          </Flex>
        </Box>
      );
  }
}

/** What the phone is doing while a greeting is recorded with it. */
const recorderWords: Readonly<Record<string, string>> = {
  takeSpeaking: 'Wait for the tone.',
  takeRecording: 'Recording: speak now, then press #.',
  takeFinishing: 'A moment …',
  takeAsking: '1 keeps it, 2 plays it, 3 records again.',
  takeWaiting: '1 keeps it, 2 plays it, 3 records again.',
};

function Ringing({ children }: { readonly children: ReactNode }) {
  return (
    <Box borderWidth="1px" borderColor="petrol.solid" bg="petrol.subtle" borderRadius="md" p="2.5">
      {children}
    </Box>
  );
}

/** What is to be spoken, to be read off the phone. */
function ToRecord({ of }: { readonly of: PhoneTake }) {
  return (
    <Box mb="2">
      <Text fontWeight="600">{of.name}</Text>
      <Text fontFamily="spoken" fontSize="15px" maxH="130px" overflowY="auto">
        {of.words}
      </Text>
    </Box>
  );
}

/** `speaks` turns the microphone on too, where the call is of no use without. */
function Answer({ phone, speaks = false }: { readonly phone: DeskPhone; readonly speaks?: boolean }) {
  const answer = (): void => {
    phone.say({ type: 'answer' });
    if (speaks) void phone.setMicrophone(true);
  };
  return (
    <Button size="sm" colorPalette="petrol" flex="1" onClick={answer}>
      <Phone size={14} aria-hidden /> Answer
    </Button>
  );
}

function Decline({ phone }: { readonly phone: DeskPhone }) {
  return (
    <Button size="sm" variant="outline" bg="sheet" flex="1" onClick={() => phone.say({ type: 'decline' })}>
      Decline
    </Button>
  );
}

function callingWords(phase: string): string {
  if (phase.startsWith('pin')) return 'Type the PIN of the box, then #.';
  if (phase === 'hearingMessages') return 'You hear the messages: 1 next, 2 again, 3 delete, star to end.';
  if (phase in recorderWords) return recorderWords[phase] ?? '';
  return phase.startsWith('ring') ? 'It rings …' : 'Calling …';
}

function Talking({
  phone,
  view,
  names,
  nowMs,
  doing,
  personId,
}: PartProps & { doing: Extract<DeskDoing, { type: 'talking' }>; personId: PersonId }) {
  return (
    <Box borderWidth="1px" borderColor="hairline" bg="sheet" borderRadius="md" p="2.5">
      <Text fontSize="13px">
        {doing.isOnHold ? 'On hold:' : 'Talking to'} <Seconds ms={nowMs - doing.sinceMs} />
      </Text>
      <CallerLine call={doing.call} of={doing.of} personId={personId} names={names} />
      <Flex gap="1.5" mt="2" wrap="wrap">
        <Button
          size="sm"
          variant="outline"
          bg="sheet"
          flex="1"
          aria-pressed={doing.isOnHold}
          onClick={() => phone.say({ type: 'hold', on: !doing.isOnHold })}
        >
          {doing.isOnHold ? 'Take back' : 'Hold'}
        </Button>
        <HangUp phone={phone} />
      </Flex>
      <Box mt="2">
        <MicrophoneButton state={view.microphone} onTurn={(isOn) => phone.setMicrophone(isOn)} />
      </Box>
      <Transfer phone={phone} personId={personId} />
    </Box>
  );
}

/** The caller on hold while a colleague is spoken to: to be sent on to them, or taken back. */
function Held({
  phone,
  held,
  talks,
  names,
}: {
  readonly phone: DeskPhone;
  readonly held: SeenCall;
  readonly talks: boolean;
  readonly names: Names;
}) {
  return (
    <Box mb="2" borderWidth="1px" borderColor="hairline" bg="sheet" borderRadius="md" p="2.5">
      <Text fontSize="13px">On hold:</Text>
      <Text fontWeight="600">{callerName(held, names)}</Text>
      <Flex gap="1.5" mt="2" wrap="wrap">
        <Button size="sm" colorPalette="petrol" flex="1" onClick={() => phone.say({ type: 'sendOn' })}>
          <PhoneForwarded size={14} aria-hidden /> {talks ? 'Transfer now' : 'Transfer without waiting'}
        </Button>
        <Button size="sm" variant="outline" bg="sheet" flex="1" onClick={() => phone.say({ type: 'hold', on: false })}>
          Take back
        </Button>
      </Flex>
    </Box>
  );
}

function Transfer({ phone, personId }: { readonly phone: DeskPhone; readonly personId: PersonId }) {
  const [people, groups, queues] = [usePeople(), useGroups(), useQueues()];
  const others = people.filter(({ id }) => id !== personId);
  const all = [...others, ...groups, ...queues];
  const [to, setTo] = useState('');
  const send = (): void => {
    const person = others.find(({ id }) => id === to);
    const group = groups.find(({ id }) => id === to);
    const queue = queues.find(({ id }) => id === to);
    if (person) phone.say({ type: 'transfer', to: { type: 'person', personId: person.id } });
    else if (group) phone.say({ type: 'transfer', to: { type: 'group', groupId: group.id } });
    else if (queue) phone.say({ type: 'transfer', to: { type: 'queue', queueId: queue.id } });
  };
  const colleague = others.find(({ id }) => id === to);
  if (all.length === 0) return null;
  return (
    <Flex mt="2" gap="1.5" align="center" wrap="wrap" fontSize="13px">
      <Text flexShrink="0">Transfer to</Text>
      <Box flex="1 1 160px" minW="0">
        <InlineSelect
          label="To whom the call is transferred"
          value={to}
          choices={all.map(({ id, name }) => ({ value: id, label: name }))}
          toChoose="whom?"
          onChange={setTo}
        />
      </Box>
      <Button size="xs" variant="outline" bg="sheet" disabled={to === ''} onClick={send}>
        <PhoneForwarded size={13} aria-hidden /> Transfer
      </Button>
      {colleague && (
        <Button
          size="xs"
          variant="outline"
          bg="sheet"
          onClick={() => phone.say({ type: 'consult', personId: colleague.id })}
        >
          <Phone size={13} aria-hidden /> Speak to {colleague.name.split(' ')[0]} first
        </Button>
      )}
    </Flex>
  );
}

function HangUp({ phone }: { readonly phone: DeskPhone }) {
  return (
    <Button size="sm" variant="outline" bg="sheet" flex="1" onClick={() => phone.say({ type: 'hangUp' })}>
      <PhoneOff size={14} aria-hidden /> Hang up
    </Button>
  );
}

function QueueLine({ phone, names, nowMs, queue, canPick }: PartProps & { queue: DeskQueue; canPick: boolean }) {
  const name = names[queue.queueId] ?? 'Queue';
  return (
    <Box role="region" aria-label={`Queue ${name}`} borderTopWidth="1px" borderColor="hairline" pt="2">
      <Flex>
        <Text fontWeight="600" flex="1">
          {name}
        </Text>
        <Text fontSize="13px" color="quiet">
          {queue.waiting.length === 0 ? 'nobody waits' : `${queue.waiting.length} waiting`}
        </Text>
      </Flex>
      {queue.waiting.map((call) => (
        <Flex key={call.callId} align="center" gap="2" minH="8">
          <Text flex="1" minW="0" truncate>
            {callerName(call, names)}
          </Text>
          <Seconds ms={nowMs - call.waitsSinceMs} />
          <Button
            size="2xs"
            minH="26px"
            variant="outline"
            bg="sheet"
            disabled={!canPick}
            aria-label={`Pick ${callerName(call, names)}`}
            onClick={() => phone.say({ type: 'pick', callId: call.callId })}
          >
            Pick
          </Button>
        </Flex>
      ))}
      {!canPick && queue.waiting.length > 0 && (
        <Text fontSize="12px" color="quiet">
          You can pick a call once this phone does nothing else.
        </Text>
      )}
    </Box>
  );
}

function DialField({ phone, wrongNumber }: { readonly phone: DeskPhone; readonly wrongNumber: string | null }) {
  const [digits, setDigits] = useState('');
  const dial = (): void => {
    if (digits) phone.say({ type: 'dial', digits });
    setDigits('');
  };
  return (
    <Box asChild borderTopWidth="1px" borderColor="hairline" pt="2">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          dial();
        }}
      >
        <Flex gap="1.5">
          <Input
            size="sm"
            bg="sheet"
            fontFamily="mono"
            aria-label="Extension, box or code to dial"
            placeholder="extension, box or code"
            value={digits}
            maxLength={8}
            inputMode="tel"
            onChange={({ currentTarget: { value } }) => setDigits([...value].filter(isKey).join(''))}
          />
          <Button size="sm" variant="outline" bg="sheet" type="submit" disabled={digits === ''}>
            Dial
          </Button>
        </Flex>
        {wrongNumber && (
          <Text role="alert" fontSize="13px" mt="1">
            Nothing has the number {wrongNumber}.
          </Text>
        )}
      </form>
    </Box>
  );
}

function Seconds({ ms }: { readonly ms: number }) {
  return (
    <Text as="span" fontFamily="mono" fontSize="12.5px" color="quiet">
      {showLength(Math.max(0, ms))}
    </Text>
  );
}
