import { Box, Text } from '@chakra-ui/react';
import type { Names } from '@locutor/core/line';
import { describeWork, percent, said, workFigures, type TableCell, type WorkOf } from '@locutor/core/traffic';
import { usePeople, useWork } from '../../api/resources';
import { targetNameOf } from './answeredWords';
import { callsBehind } from './behind';
import { FiguresTable } from './FiguresTable';
import { Counting } from './Counting';
import { RungChart } from './RungChart';
import { SaveCsv } from './SaveCsv';
import { SpanBar } from './SpanBar';
import { TrafficPage } from './TrafficPage';
import { useNamesThen } from './useNamesThen';
import { spanAsked, useSpan } from './useSpan';

/** Who was rung, who answered, and how long they talked: counts of work, in the order of the directory. */
export function WhoAnswers() {
  const looked = useSpan();
  const names = useNamesThen();
  const order = usePeople().map(({ id }) => id);
  const { data: sums, error } = useWork(spanAsked(looked));
  const work = sums && workFigures(sums, order);
  return (
    <TrafficPage actions={work && work.length > 0 && <SaveCsv name="who answers" rows={() => cellsOf(work, names)} />}>
      <SpanBar {...looked} />
      {error && <Text role="alert">The calls could not be counted. {String(error.message)}</Text>}
      {!work && !error && <Counting />}
      {work && (
        <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="4" aria-live="polite">
          {describeWork(work)}
        </Text>
      )}
      {work && work.length > 0 && (
        <Box maxW="980px">
          <Box mb="6">
            <RungChart work={work} names={names} asked={spanAsked(looked)} />
          </Box>
          <FiguresTable
            title="Who was rung, and who answered"
            head={[
              '',
              'Rung',
              'Answered',
              'Declined',
              'Let ring',
              'Had no time to',
              'Talked',
              'On hold',
              'Part of all talk',
            ]}
            rows={work.map((each) => ({
              key: each.who,
              name: targetNameOf(each.who, names),
              figures: figuresOf(each),
              to: callsBehind({ ...spanAsked(looked), who: each.who }),
            }))}
          />
          <Text mt="3" color="quiet" fontSize="13px">
            These are counts of work, not of merit: who is rung more lets more ring. “Had no time to”: a colleague
            answered first, or the caller hung up.
          </Text>
        </Box>
      )}
    </TrafficPage>
  );
}

function figuresOf({ rung, answered, declined, letRing, stopped, talkMs, holdMs, share }: WorkOf): readonly string[] {
  return [
    ...[rung, answered, declined, letRing, stopped].map((count) => count.toLocaleString()),
    showHours(talkMs),
    showHours(holdMs),
    percent(share, 1),
  ];
}

/** Hours and minutes: `3:05`. */
function showHours(ms: number): string {
  const minutes = Math.round(ms / 60_000);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')} h`;
}

function cellsOf(work: readonly WorkOf[], names: Names): readonly (readonly TableCell[])[] {
  return [
    [
      ...[said('who'), said('rung'), said('answered'), said('declined'), said('let ring'), said('had no time to')],
      ...[said('talked (s)'), said('on hold (s)')],
    ],
    ...work.map(({ who, rung, answered, declined, letRing, stopped, talkMs, holdMs }) => [
      targetNameOf(who, names),
      ...[rung, answered, declined, letRing, stopped, Math.round(talkMs / 1000), Math.round(holdMs / 1000)].map(String),
    ]),
  ];
}
