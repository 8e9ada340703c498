import { Box, Text } from '@chakra-ui/react';
import type { DayRange } from '@locutor/core/hours';
import {
  cameTo,
  changesBetween,
  describeCame,
  describeChange,
  outcomeWords,
  percent,
  said,
  saidOutcome,
  spanBefore,
  whenFigures,
  type CameTo,
  type TableCell,
} from '@locutor/core/traffic';
import { useWhen } from '../../api/resources';
import { InlineSelect } from '../../parts/InlineSelect';
import { callsBehind, type BehindAsked } from './behind';
import { FiguresTable } from './FiguresTable';
import { showDays } from './showDays';
import { Counting } from './Counting';
import { SaveCsv } from './SaveCsv';
import { SpanBar } from './SpanBar';
import { TrafficPage } from './TrafficPage';
import { useAddress } from './useAddress';
import { spanAsked, useSpan } from './useSpan';
import { WeeksChart } from './WeeksChart';

const comparisons = [
  { value: 'nothing', label: 'nothing' },
  { value: 'before', label: 'as many days before' },
  { value: 'year', label: 'the same weekdays a year before' },
] as const;

/** What calls came to, week by week and in all; beside another span, with how sure the difference is. */
export function CameToPage() {
  const looked = useSpan();
  const [address, change] = useAddress();
  const compare = comparisons.find(({ value }) => value === address.get('compare'))?.value ?? 'nothing';
  const asked = spanAsked(looked);
  const other = otherSpan(compare, looked.span);
  const { data: sums, error } = useWhen(asked);
  const { data: otherSums } = useWhen(other && spanAsked({ span: other, lineId: looked.lineId }));
  const came = sums && cameTo(sums);
  const before = other && otherSums ? cameTo(otherSums) : null;
  const setCompare = (value: string): void => change({ compare: value === 'nothing' ? null : value });
  return (
    <TrafficPage actions={came && came.calls > 0 && <SaveCsv name="outcomes" rows={() => cellsOf(came, before)} />}>
      <SpanBar {...looked} />
      {error && <Text role="alert">The calls could not be counted. {String(error.message)}</Text>}
      {!came && !error && <Counting />}
      {came && (
        <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="3" aria-live="polite">
          {describeCame(came)}
        </Text>
      )}
      <Text mb="3">
        Compared with <InlineSelect label="Compared with" value={compare} choices={comparisons} onChange={setCompare} />{' '}
        {other && (
          <Text as="span" color="quiet" fontSize="13px">
            {showDays(other)}
          </Text>
        )}
      </Text>
      {came && before && <Changes before={before} after={came} />}
      {came && came.calls > 0 && (
        <Box maxW="620px" mt="5">
          <FiguresTable
            title="Calls by outcome"
            head={['Outcome', 'Calls', 'Share', ...(before ? ['Calls before', 'Share before'] : [])]}
            rows={rowsOf(came, before, asked)}
            bars={came.byOutcome.filter(({ calls }) => calls > 0 || before).map(({ calls }) => calls / came.calls)}
          />
        </Box>
      )}
      {sums && came && came.calls > 0 && (
        <Box mt="8">
          <WeeksChart figures={whenFigures(sums, looked.span, looked.today)} asked={asked} />
        </Box>
      )}
    </TrafficPage>
  );
}

function Changes({ before, after }: { readonly before: CameTo; readonly after: CameTo }) {
  if (before.calls === 0) return <Text maxW="760px">Nobody called then: there is nothing to compare with.</Text>;
  return (
    <Box asChild maxW="760px" pl="5" css={{ listStyle: 'disc' }}>
      <ul aria-label="What changed">
        {changesBetween(before, after).map((change) => (
          <li key={change.fate}>{describeChange(change)}</li>
        ))}
      </ul>
    </Box>
  );
}

function rowsOf(came: CameTo, before: CameTo | null, asked: BehindAsked) {
  const shown = came.byOutcome.filter(({ calls }) => calls > 0 || before);
  return shown.map(({ outcome, calls }) => {
    const then = before?.byOutcome.find((each) => each.outcome === outcome)?.calls ?? 0;
    const compared = before ? [then.toLocaleString(), percent(then, before.calls)] : [];
    return {
      key: outcome,
      name: outcomeWords[outcome],
      to: callsBehind({ ...asked, outcome }),
      figures: [calls.toLocaleString(), percent(calls, came.calls), ...compared],
    };
  });
}

function cellsOf(came: CameTo, before: CameTo | null): readonly (readonly TableCell[])[] {
  return [
    [said('outcome'), said('calls'), ...(before ? [said('calls before')] : [])],
    ...came.byOutcome.map(({ outcome, calls }) => [
      saidOutcome(outcome),
      String(calls),
      ...(before ? [String(before.byOutcome.find((each) => each.outcome === outcome)?.calls ?? 0)] : []),
    ]),
  ];
}

/** 52 weeks before, so that weekdays are the same; null for nothing to compare with. */
function otherSpan(compare: (typeof comparisons)[number]['value'], span: DayRange): DayRange | null {
  if (compare === 'before') return spanBefore(span);
  return compare === 'year' ? { from: span.from - 364, to: span.to - 364 } : null;
}
