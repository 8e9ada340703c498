import { Box, Flex, Text } from '@chakra-ui/react';
import { showDate, wallTime } from '@locutor/core/hours';
import { dayBeside, describeDay, describeWorth, worthKnowing, type DayBeside, type Worth } from '@locutor/core/traffic';
import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { useTraffic, useUnpressed } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { useSheetNames } from '../../live/useSheetNames';
import { showMinutes, userDial } from '../../parts/time';
import { useNow } from '../../parts/useNow';

/** The day so far beside such days as they usually are, and the three things most worth knowing. */
export function TrafficToday() {
  const { line, hours, attendant } = useDraft();
  const names = useSheetNames();
  const now = useNow(60_000);
  const { data } = useTraffic(line.id);
  const unpressed = useUnpressed(line.id);
  if (!data) return <Text color="quiet">Counting the calls …</Text>;
  if (data.firstDay === null) {
    return <Text color="quiet">Nobody has called yet. What callers do is told here as soon as somebody does.</Text>;
  }
  const today = wallTime(line.timeZone, now).day;
  const day = dayBeside(data.days, today, data.firstDay);
  const worth = worthKnowing(data.recent, hours, unpressed ?? null);
  const labelOf = (sheetId: string, key: string): string | undefined => {
    const sheet = attendant.sheets.find(({ id }) => id === sheetId);
    return sheet?.type === 'menu' ? sheet.options.find((option) => option.key === key)?.label : undefined;
  };
  const { from, to } = data.recent.span;
  const span = `from=${showDate(from)}&to=${showDate(to)}`;
  return (
    <>
      <Text>
        {describeDay(day, today)}{' '}
        <Box asChild color="petrol.fg" textDecoration="underline">
          <Link to="/traffic/came?span=today">See today’s calls</Link>
        </Box>
      </Text>
      <DayBars day={day} />
      {worth.length > 0 && (
        <Box as="ul" listStyleType="none" mt="3" borderTopWidth="1px" borderColor="hairline" aria-label="Worth knowing">
          {worth.map((each) => (
            <Flex
              as="li"
              key={`${each.type} ${'sheetId' in each ? each.sheetId : ''}`}
              borderBottomWidth="1px"
              borderColor="hairline"
              py="2"
              gap="3"
              align="center"
            >
              <Text flex="1">{describeWorth(each, names, labelOf, userDial)}</Text>
              <Flex asChild align="center" color="petrol.fg" fontWeight="500" flexShrink="0">
                <Link to={pageOf(each, span)}>
                  {doesOf[each.type]} <ChevronRight size={15} aria-hidden />
                </Link>
              </Flex>
            </Flex>
          ))}
        </Box>
      )}
    </>
  );
}

const doesOf: Readonly<Record<Worth['type'], string>> = {
  lostChanged: 'See what changed',
  worstHour: 'See the hours',
  whileClosed: 'See the hours',
  hangUps: 'See when they do',
  wrongKeys: 'See what they press',
  slow: 'See how long it takes',
  moreCalls: 'See week by week',
  unpressed: 'See what they press',
};

function pageOf(worth: Worth, span: string): string {
  switch (worth.type) {
    case 'lostChanged':
    case 'moreCalls':
      return `/traffic/came?${span}&compare=before`;
    case 'worstHour':
    case 'whileClosed':
      return `/traffic?${span}`;
    case 'hangUps':
    case 'wrongKeys':
      return `/traffic/pressed?${span}`;
    case 'unpressed':
      return '/traffic/pressed?span=last12Months';
    case 'slow':
      return `/traffic/answered?${span}`;
  }
}

const heightPx = 54;

/** Calls in each hour of today, beside how many there usually are. */
function DayBars({ day: { hours } }: { readonly day: DayBeside }) {
  const used = hours.flatMap(({ today, usual }, hour) => (today > 0 || usual >= 0.2 ? [hour] : []));
  if (used.length === 0) return null;
  const [first, last] = [Math.min(...used), Math.max(...used)];
  const most = Math.max(1, ...hours.flatMap(({ today, usual }) => [today, usual]));
  const shown = hours.slice(first, last + 1);
  const says = shown
    .map(({ today, usual }, index) => `${showMinutes((first + index) * 60)}: ${today}, usually ${usual.toFixed(1)}`)
    .join('; ');
  return (
    <Box mt="3" maxW="720px">
      <Flex gap="3px" align="flex-end" h={`${heightPx}px`} role="img" aria-label={`Calls by hour today: ${says}`}>
        {shown.map(({ today, usual }, index) => (
          <Flex key={first + index} flex="1" gap="1px" align="flex-end" h="100%">
            <Box flex="1" bg="petrol.emphasized" h={`${(heightPx * usual) / most}px`} />
            <Box flex="1" bg="petrol.solid" h={`${(heightPx * today) / most}px`} />
          </Flex>
        ))}
      </Flex>
      <Flex gap="3px" fontSize="11.5px" color="quiet" aria-hidden borderTopWidth="1px" borderColor="hairline">
        {shown.map((_, index) => (
          <Text key={first + index} flex="1" whiteSpace="nowrap" overflow="visible" w="0">
            {index % 2 === 0 ? showMinutes((first + index) * 60).replace(/:00/, '') : ''}
          </Text>
        ))}
      </Flex>
      <Flex gap="4" mt="1" fontSize="12.5px" color="quiet">
        <Flex align="center" gap="1.5">
          <Box w="10px" h="10px" bg="petrol.solid" /> today
        </Flex>
        <Flex align="center" gap="1.5">
          <Box w="10px" h="10px" bg="petrol.emphasized" /> usually, on such a day
        </Flex>
      </Flex>
    </Box>
  );
}
