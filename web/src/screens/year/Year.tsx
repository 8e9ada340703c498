import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInYear, monthDayOf, wallTime, yearOf } from '@locutor/core/hours';
import { ChevronLeft, ChevronRight, Printer } from 'lucide-react';
import { useCallback, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useAllHours, useOnAir } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { Printed } from '../../parts/Printed';
import { ScreenHead } from '../../parts/ScreenHead';
import { SmallButton } from '../../parts/SmallButton';
import { useNow } from '../../parts/useNow';
import { Compared } from './Compared';
import { DayExplained } from './DayExplained';
import { RibbonKey, YearRibbon } from './YearRibbon';

/** A year of hours at a glance, any day of it explained, and what differs from other hours or another year. */
export default function Year() {
  const { line, attendant, hours: own } = useDraft();
  const { data: all = [] } = useAllHours();
  const [search] = useSearchParams();
  const hours = all.find(({ id }) => id === search.get('of')) ?? own;
  const answering = useOnAir(line)?.attendant ?? attendant;
  const today = wallTime(line.timeZone, useNow(60_000)).day;
  const [chosen, setChosen] = useState(today);
  const [isPrinting, setPrinting] = useState(false);
  const printed = useCallback(() => setPrinting(false), []);
  const year = yearOf(chosen);
  const turnTo = (to: number): void => setChosen(to === yearOf(today) ? today : dayInYear(to, monthDayOf(chosen)));
  const ribbon = <YearRibbon hours={hours} year={year} today={today} chosen={chosen} onChoose={setChosen} />;
  return (
    <Box pb="8">
      <ScreenHead title={`${hours.name} in ${year}`}>
        <Flex align="center" gap="1">
          <SmallButton
            label={`The year ${year - 1}`}
            icon={<ChevronLeft size={15} />}
            onClick={() => turnTo(year - 1)}
          />
          <Text fontFamily="mono">{year}</Text>
          <SmallButton
            label={`The year ${year + 1}`}
            icon={<ChevronRight size={15} />}
            onClick={() => turnTo(year + 1)}
          />
        </Flex>
        <Button size="xs" variant="outline" bg="sheet" onClick={() => setPrinting(true)}>
          <Printer size={14} aria-hidden /> Print
        </Button>
        <Button asChild size="xs" variant="outline" bg="sheet">
          <Link to={`/hours?of=${hours.id}`}>Change these hours</Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="1180px">
        <Box overflowX="auto" pb="1" pr="1">
          <Box minW="620px" pt="1">
            {ribbon}
          </Box>
        </Box>
        <Box mt="2">
          <RibbonKey hours={hours} />
        </Box>
        <DayExplained hours={hours} day={chosen} attendant={hours.id === own.id ? answering : null} />
        <Compared hours={hours} year={year} all={all} />
      </Box>
      {isPrinting && (
        <Printed sheet="landscape" onDone={printed}>
          <Text fontWeight="600" fontSize="14pt" mb="2">
            {line.name}: {hours.name} in {year}
          </Text>
          {ribbon}
          <Box mt="3">
            <RibbonKey hours={hours} />
          </Box>
        </Printed>
      )}
    </Box>
  );
}
