import { Box, Flex, Text } from '@chakra-ui/react';
import { answerSpans, clockReading, instantOf, type Answer, type PeriodId } from '@locutor/core/hours';
import { usableSwitch, type Attendant } from '@locutor/core/line';
import { Link } from 'react-router';
import { answerName } from '../../app/answering';
import { useDraftTools } from '../../draft/DraftProvider';
import { textureOf } from '../../parts/textures';
import { showClock } from '../../parts/time';

const dayMs = 86_400_000;

/** What answers in the coming week: a column a day, from midnight at the top to midnight at the foot. */
export function WeekStrip({ attendant, now }: { readonly attendant: Attendant; readonly now: number }) {
  const { line } = useDraftTools();
  const today = clockReading(now, line.timeZone).slice(0, 10);
  const days = Array.from({ length: 7 }, (_, index) => dateAfter(today, index));
  return (
    <Flex gap="1.5" overflowX="auto">
      {days.map((date, index) => (
        <Day key={date} date={date} isToday={index === 0} attendant={attendant} now={now} />
      ))}
    </Flex>
  );
}

function Day({ date, isToday, attendant, now }: { date: string; isToday: boolean; attendant: Attendant; now: number }) {
  const { line, hours, names, switched } = useDraftTools();
  const from = instantOf(`${date}T00:00`, line.timeZone);
  const to = instantOf(`${dateAfter(date, 1)}T00:00`, line.timeZone);
  const spans = answerSpans(
    attendant.answering.rules,
    hours,
    line.timeZone,
    from,
    to,
    usableSwitch(attendant, switched),
  );
  const heading = new Intl.DateTimeFormat(undefined, { timeZone: 'UTC', weekday: 'short', day: 'numeric' });
  return (
    <Box flex="1" minW="72px">
      <Text fontSize="12px" fontWeight={isToday ? 600 : 400} mb="1">
        {isToday ? 'Today' : heading.format(Date.parse(`${date}T00:00Z`))}
      </Text>
      <Box
        asChild
        display="block"
        position="relative"
        h="168px"
        borderWidth="1px"
        borderColor="hairline"
        borderRadius="md"
        overflow="hidden"
        bg="sheet"
      >
        <Link to="/hours" title="Change the hours">
          {spans.map((span) => {
            const periodId = periodOf(span.answer);
            const part = (span.toMs - span.fromMs) / (to - from);
            const name = answerName(span.answer, attendant, names);
            return (
              <Box
                key={span.fromMs}
                position="absolute"
                left="0"
                right="0"
                top={`${((span.fromMs - from) / (to - from)) * 100}%`}
                h={`${part * 100}%`}
                px="1.5"
                overflow="hidden"
                {...textureOf(hours.periods, periodId)}
                title={`${showClock(span.fromMs, line.timeZone)}–${showClock(span.toMs, line.timeZone)}: ${name}`}
              >
                {part > 0.1 && (
                  <Text
                    fontSize="11px"
                    lineHeight="1.3"
                    pt="1"
                    position="relative"
                    zIndex="1"
                    lineClamp="2"
                    css={{ wordBreak: 'break-word' }}
                  >
                    <Box as="span" bg={periodId ? 'petrol.subtle' : 'sheet'} borderRadius="2px" px="0.5">
                      {name}
                    </Box>
                  </Text>
                )}
              </Box>
            );
          })}
          {isToday && (
            <Box
              position="absolute"
              left="0"
              right="0"
              h="1px"
              bg="ink"
              top={`${((now - from) / (to - from)) * 100}%`}
              title="Now"
            />
          )}
        </Link>
      </Box>
    </Box>
  );
}

/** Whose texture a stretch has. */
function periodOf(answer: Answer): PeriodId | null {
  if (answer.type === 'switch') return answer.to.type === 'open' ? answer.to.periodId : null;
  return answer.type === 'period' ? answer.periodId : null;
}

function dateAfter(date: string, days: number): string {
  return new Date(Date.parse(`${date}T00:00Z`) + days * dayMs).toISOString().slice(0, 10);
}
