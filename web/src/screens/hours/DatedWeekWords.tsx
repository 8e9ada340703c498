import { Box, Button, Text } from '@chakra-ui/react';
import { describeWeekChange, firstDay, weekBefore, weekChanges, type DatedWeek, type Hours } from '@locutor/core/hours';
import { DateField } from '../../parts/DateField';
import { tellDone } from '../../parts/notices';
import { showMinutes } from '../../parts/time';
import { showDay } from './specialWords';
import type { ShownWeek } from './shownWeek';
import { WeekName } from './WeekName';

interface Props {
  readonly hours: Hours;
  readonly dated: DatedWeek;
  readonly onChoose: (id: ShownWeek) => void;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** What a week from a date on is called, when it begins, and how it differs from the week before it. */
export function DatedWeekWords({ hours, dated, onChoose, onChange }: Props) {
  const set = (changed: DatedWeek): void =>
    void onChange({
      ...hours,
      datedWeeks: hours.datedWeeks.map((each) => (each.id === dated.id ? changed : each)),
    });
  const before = weekBefore(hours, firstDay(dated));
  const remove = async (): Promise<void> => {
    onChoose(before.type === 'regular' ? null : before.of.id);
    const datedWeeks = hours.datedWeeks.filter(({ id }) => id !== dated.id);
    if (await onChange({ ...hours, datedWeeks })) {
      tellDone(`${dated.name} is gone; the week before it stays.`, () => void onChange(hours));
    }
  };
  const changes = weekChanges(hours, before.of.week, dated.week);
  return (
    <>
      , called{' '}
      <WeekName
        key={dated.id}
        label="Name of these weeks"
        name={dated.name}
        onRename={(name) => set({ ...dated, name })}
      />
      , begins on{' '}
      <DateField
        label="First day of this week"
        value={dated.from}
        inWords={false}
        onChange={(from) => set({ ...dated, from })}
      />
      .
      <Button size="xs" variant="ghost" onClick={() => void remove()}>
        Remove it
      </Button>
      <Box role="group" aria-label="What changes" my="1" lineHeight="1.5">
        <Text fontWeight="500">What changes on {showDay(firstDay(dated))}</Text>
        {changes.length === 0 ? (
          <Text color="quiet">Nothing yet. Change its times below.</Text>
        ) : (
          <Box as="ul" listStyleType="disc" pl="5">
            {changes.map((change) => (
              <li key={`${change.period.id} ${change.days.join('')}`}>{describeWeekChange(change, showMinutes)}</li>
            ))}
          </Box>
        )}
      </Box>
    </>
  );
}
