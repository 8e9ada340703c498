import { Button, Flex, Text } from '@chakra-ui/react';
import { yearOf, type DayNumber, type Hours } from '@locutor/core/hours';
import useSWR from 'swr';
import { api } from '../../api/client';
import { tellDone } from '../../parts/notices';
import { offeredOf, placeChosen, specialDateOf, type Holiday } from './holidays';

interface Props {
  readonly hours: Hours;
  readonly today: DayNumber;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** The holidays of next year that were kept this year, as soon as their days are known: to be added with a click. */
export function NextYearHolidays({ hours, today, onChange }: Props) {
  const place = placeChosen();
  const year = yearOf(today) + 1;
  const path = place && `/api/holidays?country=${place.country}&region=${place.region}&from=${year}&years=1`;
  const { data: holidays = [] } = useSWR<readonly Holiday[], unknown>(path, api);
  const kept = new Set(
    hours.special.flatMap(({ name, when }) =>
      when.type === 'once' && when.from.startsWith(`${year - 1}-`) ? [name] : [],
    ),
  );
  const days = offeredOf(holidays, hours, today)
    .filter(({ name }) => kept.has(name))
    .flatMap((each) => each.days);
  if (days.length === 0) return null;
  const add = async (): Promise<void> => {
    const added = days.map(({ holiday }) => specialDateOf(holiday));
    if (await onChange({ ...hours, special: [...hours.special, ...added] })) {
      tellDone(`The holidays of ${year} are among your special dates.`, () => void onChange(hours));
    }
  };
  return (
    <Flex gap="2" align="center" wrap="wrap" fontSize="13px" py="1">
      <Text>
        The holidays that you keep this year fall on {days.length === 1 ? 'one day' : `${days.length} days`} of {year}{' '}
        that {days.length === 1 ? 'is' : 'are'} not entered yet.
      </Text>
      <Button size="xs" variant="outline" bg="sheet" onClick={() => void add()}>
        Add {days.length === 1 ? 'it' : 'them'}
      </Button>
    </Flex>
  );
}
