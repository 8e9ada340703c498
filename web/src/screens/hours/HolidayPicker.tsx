import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { yearOf, type DayNumber, type Hours } from '@locutor/core/hours';
import { countryOf } from '@locutor/core/directory';
import { useState } from 'react';
import useSWR from 'swr';
import { api, wordsOf } from '../../api/client';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone } from '../../parts/notices';
import { offeredOf, placeOrOwn, rememberPlace, sinceWords, specialDateOf, type Holiday, type Place } from './holidays';
import { showDays } from './specialWords';

interface Props {
  readonly hours: Hours;
  readonly today: DayNumber;
  readonly onChange: (next: Hours) => Promise<boolean>;
  readonly onClose: () => void;
}

/** Public holidays of a country or region, to choose those that the business keeps. */
export function HolidayPicker({ hours, today, onChange, onClose }: Props) {
  const ownCountry = countryOf(useDraftTools().line);
  const { data: places } = useSWR<readonly Place[]>('/api/holidays/places', api);
  const [{ country, region }, setPlace] = useState(() => placeOrOwn(ownCountry));
  const [years, setYears] = useState(2);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const from = yearOf(today);
  const query = `country=${country}&region=${region}&from=${from}&years=${years}`;
  const { data: holidays, error } = useSWR<readonly Holiday[], unknown>(`/api/holidays?${query}`, api);
  const regions = places?.find((place) => place.country === country)?.regions ?? [];
  const { data: apart = none } = useSWR<Place['regions']>(
    region === '' && regions.length > 0 ? `/api/holidays/apart?country=${country}&from=${from}&years=1` : null,
    api,
  );
  const offered = offeredOf(holidays ?? [], hours, today);
  const chosen = offered.filter(({ name }) => !left.has(name)).flatMap(({ days }) => days);

  const choose = (place: { country: string; region: string }): void => {
    rememberPlace(place);
    setPlace(place);
    setLeft(new Set());
  };
  const toggle = (name: string): void => {
    const next = new Set(left);
    if (!next.delete(name)) next.add(name);
    setLeft(next);
  };
  const keep = async (): Promise<void> => {
    const added = chosen.map(({ holiday }) => specialDateOf(holiday));
    if (!(await onChange({ ...hours, special: [...hours.special, ...added] }))) return;
    tellDone(
      `${added.length} ${added.length === 1 ? 'day is' : 'days are'} kept as special dates.`,
      () => void onChange(hours),
    );
    onClose();
  };

  return (
    <Box
      role="region"
      aria-label="Public holidays"
      bg="sheet"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      p="3"
      my="2"
    >
      <Box lineHeight="2">
        Holidays of{' '}
        <InlineSelect
          label="Country"
          value={country}
          choices={(places ?? []).map((place) => ({ value: place.country, label: place.name }))}
          onChange={(value) => choose({ country: value, region: '' })}
        />
        {regions.length > 0 && (
          <>
            ,{' '}
            <InlineSelect
              label="Region"
              value={region}
              choices={[
                { value: '', label: 'everywhere in it' },
                ...regions.map((each) => ({ value: each.region, label: each.name })),
              ]}
              onChange={(value) => choose({ country, region: value })}
            />
          </>
        )}
        , for <InlineNumber label="How many years" value={years} least={1} most={10} onChange={setYears} />{' '}
        {years === 1 ? 'year' : 'years'} from {from} on.
      </Box>
      {region === '' && apart.length > 0 && (
        <Text role="note" fontSize="13px">
          {apart.length === regions.length
            ? 'Every region of it keeps days of its own besides. Choose yours to have them too.'
            : `${apart.length} of its ${regions.length} regions keep other days: ${namesOf(apart)}. If yours is one of them, choose it.`}
        </Text>
      )}
      {error !== undefined && <Text role="alert">{wordsOf(error)}</Text>}
      {holidays && offered.length === 0 && <Text color="quiet">All of them are among your special dates already.</Text>}
      <Box as="ul" listStyleType="none" maxH="320px" overflowY="auto" my="2">
        {offered.map(({ name, days }) => (
          <Flex as="li" key={name} gap="2" py="0.5" align="baseline">
            <Flex as="label" gap="2" w="280px" flexShrink="0" align="baseline" cursor="pointer">
              <input type="checkbox" checked={!left.has(name)} onChange={() => toggle(name)} />
              {name}
            </Flex>
            <Text fontSize="13px" color="quiet">
              {days.map((each) => `${showDays(each)}${sinceWords(each.holiday)}`).join('; ')}
            </Text>
          </Flex>
        ))}
      </Box>
      <Flex gap="2">
        <Button size="sm" colorPalette="petrol" disabled={chosen.length === 0} onClick={() => void keep()}>
          Keep {chosen.length} {chosen.length === 1 ? 'day' : 'days'}
        </Button>
        <Button size="sm" variant="outline" onClick={onClose}>
          Close
        </Button>
      </Flex>
    </Box>
  );
}

const none: Place['regions'] = [];
const mostNamed = 4;

function namesOf(regions: Place['regions']): string {
  const names = regions.slice(0, mostNamed).map(({ name }) => name);
  return regions.length > mostNamed ? `${names.join(', ')} and others` : names.join(', ');
}
