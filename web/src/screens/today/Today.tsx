import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useOnAir } from '../../api/resources';
import { answeringNow } from '../../app/answering';
import { useDraft } from '../../draft/DraftProvider';
import { ScreenHead } from '../../parts/ScreenHead';
import { Switchboard } from '../../live/Switchboard';
import { showClock, showWhen } from '../../parts/time';
import { SwitchPanel } from '../../switch/SwitchPanel';
import { useNow } from '../../parts/useNow';
import { AheadToday } from './AheadToday';
import { AmissOnAir } from './AmissOnAir';
import { NeedsYou } from './NeedsYou';
import { OnCallToday, useOnCallGroups } from './OnCallToday';
import { TrafficToday } from './TrafficToday';
import { WeekStrip } from './WeekStrip';
import { whyWords } from './whyWords';

/** What a caller hears now and why, the next seven days, and what needs the manager. */
export default function Today() {
  const { line, attendant, hours, names, switched } = useDraft();
  const onAir = useOnAir(line);
  const onCall = useOnCallGroups();
  const now = useNow(15_000, switched?.fromMs);
  const shown = onAir?.attendant ?? attendant;
  const answering = answeringNow(shown, hours, line.timeZone, names, now, switched);
  const date = new Intl.DateTimeFormat(undefined, {
    timeZone: line.timeZone,
    weekday: 'long',
    day: 'numeric',
    month: 'long',
  });
  return (
    <Box pb="8">
      <ScreenHead title="Today">
        <Text color="quiet">
          {date.format(now)},{' '}
          <Text as="span" fontFamily="mono">
            {showClock(now, line.timeZone)}
          </Text>{' '}
          in {line.timeZone.replaceAll('_', ' ')}
        </Text>
      </ScreenHead>
      <Box px="6" maxW="900px">
        <Text fontSize="22px" lineHeight="1.35" mt="2" maxW="40ch">
          {line.onAirVersionId ? 'A caller now reaches ' : 'Nothing is on air. By the draft, a caller would now reach '}
          <b>{answering.name}</b>.
        </Text>
        <Text mt="1.5" color="quiet">
          {whyWords(answering.answer, names, { hours, timeZone: line.timeZone, atMs: now })}{' '}
          {answering.next
            ? `At ${showWhen(answering.next.atMs, line.timeZone, now)}, ${answering.next.name} takes over.`
            : 'That never changes.'}
        </Text>
        <AmissOnAir />
        <SectionTitle>The switch: for now, whatever the hours say</SectionTitle>
        <SwitchPanel attendant={shown} now={now} />
        <SectionTitle>On the line now</SectionTitle>
        <Switchboard names={names} timeZone={line.timeZone} />
        {onCall.length > 0 && (
          <>
            <SectionTitle>On call</SectionTitle>
            <OnCallToday groups={onCall} />
          </>
        )}
        <SectionTitle>Calls so far, and what is worth knowing</SectionTitle>
        <TrafficToday />
        <SectionTitle>The next seven days</SectionTitle>
        <WeekStrip attendant={shown} now={now} />
        <SectionTitle>What changes ahead</SectionTitle>
        <AheadToday />
        <SectionTitle>What needs you</SectionTitle>
        <NeedsYou />
      </Box>
    </Box>
  );
}

function SectionTitle({ children }: { readonly children: string }) {
  return (
    <Flex mt="8" mb="2">
      <Heading as="h2" fontSize="15px" fontWeight="600">
        {children}
      </Heading>
    </Flex>
  );
}
