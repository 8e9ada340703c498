import { Button } from '@chakra-ui/react';
import {
  seasonId,
  seasonYearLimits,
  yearsWords,
  type Hours,
  type MonthDay,
  type Season,
  type SeasonYears,
} from '@locutor/core/hours';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { monthChoices } from './specialWords';
import type { ShownWeek } from './shownWeek';
import { WeekName } from './WeekName';

interface Props {
  readonly hours: Hours;
  readonly season: Season;
  readonly onChoose: (id: ShownWeek) => void;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** What a season is called, and when it comes. */
export function SeasonWords({ hours, season, onChoose, onChange }: Props) {
  const { seasons } = hours;
  const set = (changed: Season): void =>
    void onChange({ ...hours, seasons: seasons.map((each) => (each.id === season.id ? changed : each)) });
  const remove = async (): Promise<void> => {
    onChoose(null);
    if (await onChange({ ...hours, seasons: seasons.filter(({ id }) => id !== season.id) })) {
      tellDone(`${season.name} is gone; its days are as in the rest of the year.`, () => void onChange(hours));
    }
  };
  const last = season.years?.last ?? null;
  const copy = async (): Promise<void> => {
    if (last === null) return;
    const next = { ...season, id: newId(seasonId), years: { first: last + 1, last: last + 1 } };
    if (!(await onChange({ ...hours, seasons: [...seasons, next] }))) return;
    onChoose(next.id);
    tellDone(`${season.name} is there in ${last + 1} too.`, () => void onChange(hours));
  };
  return (
    <>
      , called{' '}
      <WeekName
        key={season.id}
        label="Name of the season"
        name={season.name}
        onRename={(name) => set({ ...season, name })}
      />
      , from <DayField label="first day" value={season.from} onChange={(from) => set({ ...season, from })} /> to{' '}
      <DayField label="last day" value={season.to} onChange={(to) => set({ ...season, to })} />,{' '}
      <Years season={season} onChange={set} />.
      <Button size="xs" variant="ghost" onClick={() => void remove()}>
        Remove this season
      </Button>
      {last !== null && (
        <Button size="xs" variant="ghost" colorPalette="petrol" onClick={() => void copy()}>
          Copy it to {last + 1}
        </Button>
      )}
    </>
  );
}

type Kind = 'every' | 'only' | 'from' | 'until' | 'span';

/** In which years it comes. */
function Years({ season, onChange }: { readonly season: Season; readonly onChange: (season: Season) => void }) {
  const { years } = season;
  const [first, last] = [years?.first ?? null, years?.last ?? null];
  const kind = kindOf(years);
  const now = new Date().getFullYear();
  const set = (next: SeasonYears): void => onChange({ ...season, years: next });
  const choose = (value: string): void => {
    const year = first ?? last ?? now;
    switch (value as Kind) {
      case 'every':
        return onChange({ id: season.id, name: season.name, from: season.from, to: season.to, week: season.week });
      case 'only':
        return set({ first: year, last: year });
      case 'from':
        return set({ first: year, last: null });
      case 'until':
        return set({ first: null, last: last ?? year });
      case 'span':
        return set({ first: year, last: Math.max(last ?? year, year + 1) });
    }
  };
  const year = (label: string, value: number, change: (year: number) => void) => (
    <InlineNumber label={label} value={value} {...seasonYearLimits} onChange={change} />
  );
  return (
    <>
      <InlineSelect
        label="In which years"
        value={kind}
        choices={[
          { value: 'every', label: yearsWords(undefined) },
          { value: 'only', label: 'in one year only:' },
          { value: 'from', label: 'every year from' },
          { value: 'until', label: 'every year until' },
          { value: 'span', label: 'in the years from' },
        ]}
        onChange={choose}
      />{' '}
      {kind === 'only' && year('Year', first ?? now, (value) => set({ first: value, last: value }))}
      {(kind === 'from' || kind === 'span') && year('First year', first ?? now, (value) => set({ first: value, last }))}
      {kind === 'span' && ' to '}
      {(kind === 'until' || kind === 'span') && year('Last year', last ?? now, (value) => set({ first, last: value }))}
    </>
  );
}

function kindOf(years: SeasonYears | undefined): Kind {
  const { first = null, last = null } = years ?? {};
  if (first === null) return last === null ? 'every' : 'until';
  if (last === null) return 'from';
  return first === last ? 'only' : 'span';
}

function DayField({ label, value, onChange }: { label: string; value: MonthDay; onChange: (day: MonthDay) => void }) {
  return (
    <>
      <InlineNumber
        label={`Day of the month of the ${label}`}
        value={value.day}
        least={1}
        most={31}
        onChange={(day) => onChange({ ...value, day })}
      />{' '}
      <InlineSelect
        label={`Month of the ${label}`}
        value={String(value.month)}
        choices={monthChoices}
        onChange={(month) => onChange({ ...value, month: Number(month) })}
      />
    </>
  );
}
