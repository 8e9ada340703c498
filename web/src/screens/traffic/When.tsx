import { Box, Text } from '@chakra-ui/react';
import { showDate, type DayNumber, type DayRange } from '@locutor/core/hours';
import { describeWhen, said, saidWeekday, whenFigures, type TableCell, type WhenFigures } from '@locutor/core/traffic';
import { useWhen } from '../../api/resources';
import { hourCell, userDial } from '../../parts/time';
import { useDraftTools } from '../../draft/DraftProvider';
import { HoursGrid } from './HoursGrid';
import { Counting } from './Counting';
import { SaveCsv } from './SaveCsv';
import { SpanBar } from './SpanBar';
import { TrafficPage } from './TrafficPage';
import { spanAsked, useSpan } from './useSpan';
import { WeeksChart } from './WeeksChart';

/** When people call: by weekday and hour, and week by week. */
export function When() {
  const looked = useSpan();
  const { hours } = useDraftTools();
  const asked = spanAsked(looked);
  const { data: sums, error } = useWhen(asked);
  const figures = sums && whenFigures(sums, looked.span, looked.today);
  return (
    <TrafficPage
      actions={figures && figures.calls > 0 && <SaveCsv name="calls by hour" rows={() => cellsOf(figures)} />}
    >
      <SpanBar {...looked} />
      {error && <Text role="alert">The calls could not be counted. {String(error.message ?? '')}</Text>}
      {!sums && !error && <Counting />}
      {figures && (
        <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="5" aria-live="polite">
          {describeWhen(figures, userDial)}
        </Text>
      )}
      {figures?.calls === 0 && sums?.firstDay === null && (
        <Text color="quiet" maxW="620px">
          Nobody has called yet. As soon as somebody does, this page tells when people call and when they are lost.
          Calls at a pretended moment never count.
        </Text>
      )}
      {figures && figures.calls > 0 && (
        <>
          <HoursGrid figures={figures} hours={hours} days={daysIn(looked.span, looked.today)} asked={asked} />
          {figures.weeks.length > 1 && (
            <Box mt="8">
              <WeeksChart figures={figures} asked={asked} />
            </Box>
          )}
        </>
      )}
    </TrafficPage>
  );
}

/** More tell nothing more of the hours; the last ones. */
const mostDays = 400;

function daysIn({ from, to }: DayRange, today: DayNumber): readonly DayNumber[] {
  const last = Math.min(to, today);
  const first = Math.max(from, last - mostDays + 1);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index);
}

/** Hours in which somebody called, and weeks, each with what became of them. */
function cellsOf({ hours, weeks }: WhenFigures): readonly (readonly TableCell[])[] {
  const head = [said('calls'), said('reached somebody'), said('left a message'), said('wanted nobody'), said('lost')];
  const counts = ({
    calls,
    reached,
    message,
    served,
    lost,
  }: Pick<WhenFigures, 'calls' | 'reached' | 'message' | 'served' | 'lost'>) =>
    [calls, reached, message, served, lost].map(String);
  return [
    [said('weekday'), said('hour'), ...head],
    ...hours
      .filter(({ calls }) => calls > 0)
      .map((cell) => [saidWeekday(cell.weekday), hourCell(cell.hour), ...counts(cell)]),
    [],
    [said('week from'), said('whole week'), ...head],
    ...weeks.map((week) => [showDate(week.monday), said(week.isWhole ? 'yes' : 'no'), ...counts(week)]),
  ];
}
