import { Button, Flex, Input, Text } from '@chakra-ui/react';
import { readDate, showDate } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { longestSpanName, mostSavedSpans, spanNames, type SavedSpan, type SpanName } from '@locutor/core/traffic';
import { Bookmark, X } from 'lucide-react';
import { useState } from 'react';
import { useLines, useSettings, useVersions, type Settings, type Version } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { DateField } from '../../parts/DateField';
import { InlineSelect } from '../../parts/InlineSelect';
import { SmallButton } from '../../parts/SmallButton';
import { showDay, showDays } from './showDays';
import { useSettingsDraft } from '../settings/useSettingsDraft';
import { choiceOf, type LookedAt, type SpanChoice } from './useSpan';

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

/** Which days, and which line: a sentence whose parts are picked in place; and spans that are kept by a name. */
export function SpanBar(looked: LookedAt & Options) {
  const { choice, span, lineId, choose, setSpan, setLine, oneLine = false } = looked;
  const { data: lines = [] } = useLines();
  const { line } = useDraftTools();
  const { data: versions = [] } = useVersions(line.id);
  const { data: settings } = useSettings();
  const saved = settings?.savedSpans ?? [];
  const choices = choicesOf(saved, versions);
  const pick = (end: 'from' | 'to') => (text: string) => {
    const day = readDate(text);
    if (day === undefined) return;
    const next = { ...span, [end]: day };
    setSpan(next.from <= next.to ? next : { from: day, to: day });
  };
  const value = choices.find((each) => each.choice && isSame(each.choice, choice))?.value ?? 'picked';
  return (
    <Flex gap="2" align="center" wrap="wrap" mb="4" minH="30px">
      <Text>Calls of</Text>
      <InlineSelect
        label="Which days"
        value={value}
        choices={choices.map(({ value: each, label }) => ({ value: each, label }))}
        onChange={(chosen) => {
          const meant = choices.find((each) => each.value === chosen)?.choice;
          if (meant) choose(meant);
          else setSpan(span);
        }}
      />
      {'from' in choice && (
        <>
          <Text>from</Text>
          <DateField label="First day" value={showDate(span.from)} onChange={pick('from')} inWords={false} />
          <Text>to</Text>
          <DateField label="Last day" value={showDate(span.to)} onChange={pick('to')} inWords={false} />
        </>
      )}
      {lines.length > 1 && !oneLine && (
        <>
          <Text>on</Text>
          <InlineSelect
            label="Which line"
            value={lineId ?? 'all'}
            choices={[
              ...lines.map(({ id, name: label }) => ({ value: id, label })),
              { value: 'all', label: 'all lines' },
            ]}
            onChange={(chosen) => setLine(chosen === 'all' ? null : (chosen as LineId))}
          />
        </>
      )}
      <Text color="quiet" fontSize="13px">
        {showDays(span)}
      </Text>
      {settings && (
        <Keep settings={settings} choice={choice} savedAs={saved.find((each) => isSame(choiceOf(each), choice))} />
      )}
    </Flex>
  );
}

interface Offered {
  readonly value: string;
  readonly label: string;
  /** Null for any two dates. */
  readonly choice: SpanChoice | null;
}

function choicesOf(saved: readonly SavedSpan[], versions: readonly Version[]): readonly Offered[] {
  return [
    ...spanNames.map((span): Offered => ({ value: span, label: spanWords[span], choice: { span } })),
    ...saved.map((each, index): Offered => ({ value: `saved ${index}`, label: each.name, choice: choiceOf(each) })),
    ...versions.flatMap(({ id, number, airings }): Offered[] => {
      const firstAt = airings.at(-1)?.at;
      if (firstAt === undefined) return [];
      return [{ value: `since ${id}`, label: `since version ${number} (${showDay(firstAt)})`, choice: { since: id } }];
    }),
    { value: 'picked', label: 'any two dates', choice: null },
  ];
}

function isSame(one: SpanChoice, other: SpanChoice): boolean {
  return JSON.stringify(Object.entries(one).sort()) === JSON.stringify(Object.entries(other).sort());
}

interface KeepProps {
  readonly settings: Settings;
  readonly choice: SpanChoice;
  readonly savedAs: SavedSpan | undefined;
}

/** Keeps the days that are looked at by a name, or forgets one that was kept. */
function Keep({ settings, choice, savedAs }: KeepProps) {
  const { row, change } = useSettingsDraft(settings);
  const [name, setName] = useState<string | null>(null);
  const { savedSpans } = row;
  if (savedAs) {
    return (
      <SmallButton
        label={`Forget the span “${savedAs.name}”`}
        icon={<X size={14} aria-hidden />}
        className="notPrinted"
        onClick={() => change({ savedSpans: savedSpans.filter((each) => each.name !== savedAs.name) })}
      />
    );
  }
  if ('span' in choice || savedSpans.length >= mostSavedSpans) return null;
  if (name === null) {
    return (
      <SmallButton
        label="Keep these days by a name"
        icon={<Bookmark size={14} aria-hidden />}
        className="notPrinted"
        onClick={() => setName('')}
      />
    );
  }
  const isTaken = savedSpans.some((each) => each.name === name.trim());
  const keep = (): void => {
    if (name.trim() === '' || isTaken) return;
    change({ savedSpans: [...savedSpans, { name: name.trim(), ...choice }] });
    setName(null);
  };
  return (
    <form
      className="notPrinted"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <Flex gap="1" align="center">
        <Input
          size="xs"
          w="170px"
          bg="sheet"
          autoFocus
          aria-label="Name of these days"
          aria-invalid={isTaken}
          placeholder="such as Summer rush"
          maxLength={longestSpanName}
          value={name}
          onChange={({ currentTarget }) => setName(currentTarget.value)}
          onKeyDown={(event) => event.key === 'Escape' && setName(null)}
        />
        <Button type="submit" size="xs" variant="outline" bg="sheet" disabled={name.trim() === '' || isTaken}>
          Keep
        </Button>
        {isTaken && <Text fontSize="13px">There is one of that name.</Text>}
      </Flex>
    </form>
  );
}
