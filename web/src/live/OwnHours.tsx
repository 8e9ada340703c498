import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Person } from '@locutor/core/directory';
import {
  ownWeek,
  showDayTimes,
  wallTime,
  weekdayName,
  weekdays,
  type DayTime,
  type Hours,
  type HoursId,
  type OwnSpan,
  type Weekday,
} from '@locutor/core/hours';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { useAllHours, useLines } from '../api/resources';
import { tellDone, tellProblem } from '../parts/notices';
import { useNow } from '../parts/useNow';
import { ExactTimes } from '../screens/hours/ExactTimes';

/** When somebody works, set by themselves where the manager lets them. */
export function OwnHours({ person, hoursId }: { readonly person: Person; readonly hoursId: HoursId }) {
  const hours = useAllHours().data?.find(({ id }) => id === hoursId);
  const zone = useLines().data?.[0]?.timeZone;
  const [isOpen, setOpen] = useState(false);
  if (!hours || !zone) return null;
  return (
    <Box as="section" aria-label="My working hours" mt="6">
      <Button size="sm" variant="outline" bg="sheet" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        My working hours
      </Button>
      {isOpen && <Week key={JSON.stringify(hours.week)} person={person} hours={hours} zone={zone} />}
    </Box>
  );
}

interface WeekProps {
  readonly person: Person;
  readonly hours: Hours;
  readonly zone: string;
}

function Week({ person, hours, zone }: WeekProps) {
  const { mutate } = useSWRConfig();
  const week = ownWeek(hours, wallTime(zone, useNow(60_000)).day);
  const put = async (spans: readonly OwnSpan[]): Promise<void> => {
    await api(`/api/people/${person.id}/own-hours`, { method: 'PUT', body: { week: spans } });
    await Promise.all([mutate('/api/hours'), mutate('/api/people')]);
  };
  const set = async (day: Weekday, times: readonly DayTime[]): Promise<void> => {
    const ofDay = times.map(({ startMin, endMin }) => ({ day, startMin, endMin }));
    try {
      await put([...week.filter((span) => span.day !== day), ...ofDay]);
      tellDone(`${weekdayName(day)} is changed.`, () => void put(week));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Box mt="2">
      <Text fontSize="13px" color="quiet" maxW="60ch">
        You are rung in these hours, from now on. Type times such as “8-12, 1-5”; nothing for a day off.
      </Text>
      {weekdays.map((day) => {
        const times = week.filter((span) => span.day === day);
        return (
          <Flex key={day} gap="3" align="flex-start" mt="1">
            <Text w="84px" flexShrink="0" pt="1">
              {weekdayName(day)}
            </Text>
            <ExactTimes
              key={showDayTimes(times)}
              label={`When I work on ${weekdayName(day)}`}
              times={times}
              onSet={(next) => void set(day, next)}
            />
          </Flex>
        );
      })}
    </Box>
  );
}
