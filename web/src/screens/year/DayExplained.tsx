import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import {
  answerSpans,
  dayPlan,
  explainAnswer,
  firstDay,
  runningAt,
  wallInstant,
  wallTime,
  type DayNumber,
  type Hours,
  type OrderedRule,
  type Verdict,
  type WeekOfDay,
} from '@locutor/core/hours';
import { usableSwitch, type Attendant, type Names } from '@locutor/core/line';
import { useState } from 'react';
import { answerName } from '../../app/answering';
import { useDraftTools } from '../../draft/DraftProvider';
import { showClock } from '../../parts/time';
import { textureOf } from '../../parts/textures';
import { showDay, specialHoursWords } from '../hours/specialWords';
import { whyWords } from '../today/whyWords';

interface Props {
  readonly hours: Hours;
  readonly day: DayNumber;
  /** What answers by these hours; null where no line keeps them. */
  readonly attendant: Attendant | null;
}

const minuteMs = 60_000;
const noRules: readonly OrderedRule[] = [];

/** One day from midnight to midnight: what is so when, and, for any minute, why. */
export function DayExplained({ hours, day, attendant }: Props) {
  const { line, names, switched: set } = useDraftTools();
  const { timeZone } = line;
  const [fromMs, toMs] = [wallInstant(timeZone, day, 0), wallInstant(timeZone, day + 1, 0)];
  const minutes = (toMs - fromMs) / minuteMs;
  const [chosen, setMinute] = useState(600);
  const minute = Math.min(chosen, minutes - 1);
  const atMs = fromMs + minute * minuteMs;
  const rules = attendant?.answering.rules ?? periodRules(hours);
  const switched = attendant && usableSwitch(attendant, set);
  const spans = answerSpans(rules, hours, timeZone, fromMs, toMs, switched);
  const explained = explainAnswer(rules, hours, timeZone, atMs, { switched });
  const name = (answer: typeof explained.answer): string => {
    if (attendant) return answerName(answer, attendant, names);
    return answer.type === 'period' ? (hours.periods.find(({ id }) => id === answer.periodId)?.name ?? '') : 'Closed';
  };
  const ticks = [0, 3, 6, 9, 12, 15, 18, 21].map((hour) => wallInstant(timeZone, day, hour * 60));
  return (
    <Box as="section" aria-labelledby="day-title" mt="5">
      <Heading as="h2" id="day-title" fontSize="17px" fontWeight="600">
        {showDay(day)}
      </Heading>
      <Text>{dayWords(hours, day, minutes)}</Text>
      <Box
        position="relative"
        h="40px"
        mt="2"
        borderWidth="1px"
        borderColor="hairline"
        borderRadius="md"
        bg="sheet"
        overflow="hidden"
      >
        {spans.map((span) => {
          const periodId = span.answer.type === 'period' ? span.answer.periodId : null;
          const share = (span.toMs - span.fromMs) / (toMs - fromMs);
          return (
            <Flex
              key={span.fromMs}
              position="absolute"
              top="0"
              bottom="0"
              left={`${((span.fromMs - fromMs) / (toMs - fromMs)) * 100}%`}
              w={`${share * 100}%`}
              align="center"
              px="1"
              overflow="hidden"
              borderLeftWidth={span.fromMs > fromMs ? '1px' : '0'}
              borderColor="ink"
              title={`${showClock(span.fromMs, timeZone)} to ${showClock(span.toMs, timeZone)}: ${name(span.answer)}`}
              {...textureOf(hours.periods, periodId)}
            >
              {share > 0.07 && (
                <Text fontSize="12px" truncate bg={periodId ? 'petrol.subtle' : 'sheet'} px="0.5" borderRadius="2px">
                  {name(span.answer)}
                </Text>
              )}
            </Flex>
          );
        })}
        <Box
          position="absolute"
          top="0"
          bottom="0"
          w="2px"
          bg="ink"
          left={`${((atMs - fromMs) / (toMs - fromMs)) * 100}%`}
        />
      </Box>
      <input
        type="range"
        aria-label="Minute of the day"
        aria-valuetext={showClock(atMs, timeZone)}
        min={0}
        max={minutes - 1}
        step={5}
        value={minute}
        style={{ width: '100%', display: 'block', margin: '4px 0 0', accentColor: 'var(--chakra-colors-petrol-solid)' }}
        onChange={(event) => setMinute(Number(event.currentTarget.value))}
      />
      <Box position="relative" h="16px" fontSize="11px" color="quiet" fontFamily="mono" aria-hidden>
        {ticks.map((tick) => (
          <Text key={tick} position="absolute" left={`${((tick - fromMs) / (toMs - fromMs)) * 100}%`}>
            {showClock(tick, timeZone)}
          </Text>
        ))}
      </Box>
      <Box role="status" mt="3">
        <Text fontSize="16px">
          At <b>{showClock(atMs, timeZone)}</b>
          {', '}
          <b>{name(explained.answer)}</b>
          {attendant ? ' answers. ' : '. '}
          {attendant
            ? whyWords(explained.answer, names, { hours, timeZone, atMs })
            : runningWords(hours, timeZone, atMs)}
        </Text>
      </Box>
      {attendant && (
        <Box as="ol" listStyleType="none" mt="1.5" fontSize="13px" aria-label="Every line of the answering order then">
          {explained.verdicts.map((verdict) => (
            <Flex as="li" key={ruleWords(verdict.rule, names)} gap="2" py="0.5">
              <Text w="240px" flexShrink="0" fontWeight={verdict.is === 'wins' ? 600 : 400}>
                {ruleWords(verdict.rule, names)}
              </Text>
              <Text color={verdict.is === 'wins' ? 'ink' : 'quiet'}>
                {verdictWords(verdict, explained.answer.type)}
              </Text>
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** Where no line keeps the hours, the period that runs is what there is to tell. */
function periodRules({ periods }: Hours): readonly OrderedRule[] {
  return periods.length === 0 ? noRules : [...periods].reverse().map(({ id }) => ({ type: 'period', periodId: id }));
}

/** What makes the day as it is: its special date, its week, a clock change. */
function dayWords(hours: Hours, day: DayNumber, minutes: number): string {
  const { special, week } = dayPlan(hours, day);
  const is = special ? `It is ${special.name}: ${specialHoursWords(special.hours, hours)}.` : weekWords(week);
  const apart = minutes - 1440;
  if (apart === 0) return is;
  const change = apart < 0 ? 'forward' : 'back';
  return `${is} Clocks go ${change} on this day: it lasts ${minutes / 60} hours.`;
}

function weekWords({ type, of }: WeekOfDay): string {
  switch (type) {
    case 'season':
      return `It is in ${of.name}, which has a week of its own.`;
    case 'dated':
      return `It is as ${of.name} has it, the week that holds from ${showDay(firstDay(of))}.`;
    case 'regular':
      return 'It is as the regular week has it.';
  }
}

function runningWords(hours: Hours, timeZone: string, atMs: number): string {
  const { day } = wallTime(timeZone, atMs);
  const { spans } = runningAt(hours, timeZone, atMs);
  if (spans.length === 0) return 'No period runs then.';
  return spans.some((span) => span.day < day) ? 'It began the evening before and runs on.' : 'That period runs then.';
}

function ruleWords(rule: OrderedRule | null, names: Names): string {
  switch (rule?.type) {
    case 'period':
      return `During ${names[rule.periodId] ?? 'a deleted period'}`;
    case 'callers':
      return `Callers in ${names[rule.callerListId] ?? 'a deleted list'}`;
    case 'special':
      return rule.specialId ? `On ${names[rule.specialId] ?? 'a deleted date'}` : 'On special dates';
    case undefined:
      return 'At all other times';
  }
}

function verdictWords({ rule, is }: Verdict, winner: string): string {
  if (is === 'wins') return 'answers';
  if (is === 'beaten') return winner === 'switch' ? 'the switch goes before it' : 'would answer too, but stands lower';
  return rule?.type === 'callers' ? 'only for those callers' : 'is not so then';
}
