import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  calendarDays,
  describeNotWritten,
  writeCalendar,
  writeHoursJsonLd,
  writeHoursScript,
  writeHoursText,
} from '@locutor/core/formats';
import { wallTime, type Hours } from '@locutor/core/hours';
import { languageOf } from '@locutor/core/line';
import { englishClockOf, saidOpening, saidToday, saidWeek } from '@locutor/core/speech';
import { Copy, Download } from 'lucide-react';
import { useState } from 'react';
import { wordsOf } from '../../../api/client';
import { useDraft } from '../../../draft/DraftProvider';
import { InlineSelect } from '../../../parts/InlineSelect';
import { tellDone, tellProblem } from '../../../parts/notices';
import { saveFile } from '../../../parts/saveFile';
import { useNow } from '../../../parts/useNow';

const ways = {
  said: 'as greetings say them',
  text: 'as text',
  web: 'for the web site (JSON-LD)',
  calendar: 'as a calendar (.ics)',
} as const;
type Way = keyof typeof ways;

interface Shared {
  readonly text: string;
  readonly file: { readonly name: string; readonly type: string } | null;
  readonly notes: readonly string[];
}

/** The hours as others take them: said, read, on the web site and in a calendar. */
export function ShareHours({ hours }: { readonly hours: Hours }) {
  const [way, setWay] = useState<Way>('said');
  const { text, file, notes } = useShared(hours, way);
  const copy = (): void => {
    navigator.clipboard.writeText(text).then(
      () => tellDone('It is on the clipboard.'),
      (error: unknown) => tellProblem(wordsOf(error)),
    );
  };
  return (
    <Box
      role="region"
      aria-label="The hours to share"
      bg="sheet"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      p="3"
      my="3"
    >
      <Flex gap="3" align="baseline" wrap="wrap">
        <Text>
          {hours.name}{' '}
          <InlineSelect
            label="In which form"
            value={way}
            choices={Object.entries(ways).map(([value, label]) => ({ value, label }))}
            onChange={(value) => setWay(value as Way)}
          />
        </Text>
        <Flex gap="2" ml="auto">
          <Button size="xs" variant="outline" onClick={copy}>
            <Copy size={13} aria-hidden /> Copy
          </Button>
          {file && (
            <Button size="xs" variant="outline" onClick={() => saveFile(file.name, file.type, text)}>
              <Download size={13} aria-hidden /> Save as a file
            </Button>
          )}
        </Flex>
      </Flex>
      <Box
        as="pre"
        tabIndex={0}
        aria-label={`The hours ${ways[way]}`}
        mt="2"
        maxH="260px"
        overflow="auto"
        fontSize={way === 'said' ? '16px' : '12px'}
        fontFamily={way === 'said' ? 'spoken' : 'mono'}
        whiteSpace="pre-wrap"
        bg="paper"
        borderRadius="md"
        p="2.5"
      >
        {text}
      </Box>
      {notes.length > 0 && (
        <Box as="ul" aria-label="What cannot be carried" listStyleType="disc" pl="5" mt="2" fontSize="13px">
          {notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function useShared(hours: Hours, way: Way): Shared {
  const { line, attendant } = useDraft();
  const { timeZone } = line;
  const now = useNow(60_000);
  const today = wallTime(timeZone, now).day;
  const inAYear = { from: today, to: today + 365 };
  switch (way) {
    case 'said': {
      const language = languageOf(attendant.voice);
      const clock = englishClockOf(line);
      const said = [saidWeek, saidToday, saidOpening].map((say) => say(hours, timeZone, now, { language, clock }));
      const [week = '', day = '', opening = ''] = said;
      const text = `The week: ${week}.\nToday: ${day}.\nThe next opening: ${opening}.`;
      return { text, file: null, notes: [] };
    }
    case 'text':
      return {
        text: writeHoursText(hours, timeZone, inAYear, line.name),
        file: { name: `${hours.name}.txt`, type: 'text/plain' },
        notes: [],
      };
    case 'web': {
      const json = writeHoursJsonLd(hours, inAYear, { name: line.name, telephone: line.number });
      const notes = ['It holds the special dates of the coming year. Take it again before then.'];
      return { text: writeHoursScript(json), file: { name: 'hours.html', type: 'text/html' }, notes };
    }
    case 'calendar': {
      const { text, notCarried } = writeCalendar(
        hours,
        timeZone,
        calendarDays(today),
        `${line.name}: ${hours.name}`,
        now,
      );
      const notes = notCarried.map(describeNotWritten);
      return { text, file: { name: `${hours.name}.ics`, type: 'text/calendar' }, notes };
    }
  }
}
