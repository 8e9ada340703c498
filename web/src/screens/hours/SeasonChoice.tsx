import { Box, Button } from '@chakra-ui/react';
import {
  freeSeasonDates,
  longestSeasonName,
  seasonId,
  type Hours,
  type MonthDay,
  type Season,
  type SeasonId,
} from '@locutor/core/hours';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { newId } from '../../parts/newId';
import { tellDone, tellProblem } from '../../parts/notices';
import { monthChoices } from './specialWords';

interface Props {
  readonly hours: Hours;
  /** The season whose week is shown; null for the regular week. */
  readonly chosen: Season | null;
  readonly onChoose: (id: SeasonId | null) => void;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** Which week is shown: the regular one, or that of a season between two dates of every year. */
export function SeasonChoice({ hours, chosen, onChoose, onChange }: Props) {
  const { seasons } = hours;
  const add = async (): Promise<void> => {
    const dates = freeSeasonDates(seasons);
    if (!dates) return tellProblem('Every day of the year is in a season already. Shorten one of them first.');
    const season = { id: newId(seasonId), name: `Season ${seasons.length + 1}`, ...dates };
    // It begins as the regular week, of which most often little is changed.
    if (await onChange({ ...hours, seasons: [...seasons, { ...season, week: hours.week }] })) onChoose(season.id);
  };
  const set = (season: Season): void =>
    void onChange({ ...hours, seasons: seasons.map((each) => (each.id === season.id ? season : each)) });
  const remove = async (season: Season): Promise<void> => {
    onChoose(null);
    if (await onChange({ ...hours, seasons: seasons.filter(({ id }) => id !== season.id) })) {
      tellDone(`${season.name} is gone; its days are as in the regular week.`, () => void onChange(hours));
    }
  };
  return (
    <Box mt="3" lineHeight="2">
      {seasons.length > 0 && (
        <>
          The week of{' '}
          <InlineSelect
            label="Which week is shown"
            value={chosen?.id ?? ''}
            choices={[
              { value: '', label: 'the rest of the year' },
              ...seasons.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(id) => onChoose(seasons.find((season) => season.id === id)?.id ?? null)}
          />
        </>
      )}
      {chosen && (
        <>
          , called <SeasonName key={chosen.id} season={chosen} onChange={set} />, from{' '}
          <DayField label="first day" value={chosen.from} onChange={(from) => set({ ...chosen, from })} /> to{' '}
          <DayField label="last day" value={chosen.to} onChange={(to) => set({ ...chosen, to })} /> every year.
          <Button size="xs" variant="ghost" onClick={() => void remove(chosen)}>
            Remove this season
          </Button>
        </>
      )}
      <Button size="xs" variant="ghost" colorPalette="petrol" onClick={() => void add()}>
        <Plus size={13} aria-hidden /> Season with a week of its own
      </Button>
    </Box>
  );
}

/** Kept when the field is left. */
function SeasonName({ season, onChange }: { readonly season: Season; readonly onChange: (season: Season) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (): void => {
    if (typed?.trim() && typed.trim() !== season.name) onChange({ ...season, name: typed.trim() });
    setTyped(null);
  };
  return (
    <Box as="span" onBlur={keep}>
      <InlineWords
        label="Name of the season"
        value={typed ?? season.name}
        most={longestSeasonName}
        fontSize="15px"
        minW="90px"
        onChange={setTyped}
      />
    </Box>
  );
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
