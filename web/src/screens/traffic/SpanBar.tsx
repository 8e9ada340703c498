import { Flex, Text } from '@chakra-ui/react';
import { readDate, showDate } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { spanNames, type SpanName } from '@locutor/core/traffic';
import { useLines } from '../../api/resources';
import { DateField } from '../../parts/DateField';
import { InlineSelect } from '../../parts/InlineSelect';
import { showDays } from './showDays';
import type { LookedAt } from './useSpan';

const spanWords: Readonly<Record<SpanName, string>> = {
  today: 'today',
  yesterday: 'yesterday',
  thisWeek: 'this week',
  lastWeek: 'last week',
  thisMonth: 'this month',
  lastMonth: 'last month',
  last30Days: 'the last 30 days',
  last12Months: 'the last 12 months',
};

interface Options {
  /** Whether the page is about the line that is looked at, whatever the address says. */
  readonly oneLine?: boolean;
}

/** Which days, and which line: a sentence whose parts are picked in place. */
export function SpanBar({ name, span, lineId, setName, setSpan, setLine, oneLine = false }: LookedAt & Options) {
  const { data: lines = [] } = useLines();
  const pick = (end: 'from' | 'to') => (text: string) => {
    const day = readDate(text);
    if (day === undefined) return;
    const next = { ...span, [end]: day };
    setSpan(next.from <= next.to ? next : { from: day, to: day });
  };
  return (
    <Flex gap="2" align="center" wrap="wrap" mb="4" minH="30px">
      <Text>Calls of</Text>
      <InlineSelect
        label="Which days"
        value={name ?? 'picked'}
        choices={[
          ...spanNames.map((each) => ({ value: each, label: spanWords[each] })),
          { value: 'picked', label: 'any two dates' },
        ]}
        onChange={(value) => (value === 'picked' ? setSpan(span) : setName(value as SpanName))}
      />
      {name === null && (
        <>
          <Text>from</Text>
          <DateField label="First day" value={showDate(span.from)} onChange={pick('from')} />
          <Text>to</Text>
          <DateField label="Last day" value={showDate(span.to)} onChange={pick('to')} />
        </>
      )}
      {lines.length > 1 && !oneLine && (
        <>
          <Text>to</Text>
          <InlineSelect
            label="Which line"
            value={lineId ?? 'all'}
            choices={[
              ...lines.map(({ id, name: label }) => ({ value: id, label })),
              { value: 'all', label: 'all lines' },
            ]}
            onChange={(value) => setLine(value === 'all' ? null : (value as LineId))}
          />
        </>
      )}
      <Text color="quiet" fontSize="13px">
        {showDays(span)}
      </Text>
    </Flex>
  );
}
