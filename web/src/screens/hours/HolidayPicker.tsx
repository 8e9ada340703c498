import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  closedAllDay,
  readDate,
  specialDateId,
  yearOf,
  type DayNumber,
  type DayRange,
  type Hours,
  type SpecialDate,
} from '@locutor/core/hours';
import { useState } from 'react';
import useSWR from 'swr';
import { api, wordsOf } from '../../api/client';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { showDays } from './specialWords';

interface Place {
  readonly country: string;
  readonly name: string;
  readonly regions: readonly { readonly region: string; readonly name: string }[];
}

interface Holiday {
  readonly name: string;
  readonly from: string;
  readonly to: string;
}

/** A holiday with the days of all the years asked for. */
interface Offered {
  readonly name: string;
  readonly days: readonly (DayRange & { readonly holiday: Holiday })[];
}

interface Props {
  readonly hours: Hours;
  readonly today: DayNumber;
  readonly onChange: (next: Hours) => Promise<boolean>;
  readonly onClose: () => void;
}

const remembered = 'locutor.holidays';

/** Public holidays of a country or region, to choose those that the business keeps. */
export function HolidayPicker({ hours, today, onChange, onClose }: Props) {
  const { data: places } = useSWR<readonly Place[]>('/api/holidays/places', api);
  const [{ country, region }, setPlace] = useState(readPlace);
  const [years, setYears] = useState(2);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const from = yearOf(today);
  const query = `country=${country}&region=${region}&from=${from}&years=${years}`;
  const { data: holidays, error } = useSWR<readonly Holiday[], unknown>(`/api/holidays?${query}`, api);
  const regions = places?.find((place) => place.country === country)?.regions ?? [];
  const offered = offeredOf(holidays ?? [], hours, today);
  const chosen = offered.filter(({ name }) => !left.has(name)).flatMap(({ days }) => days);

  const choose = (place: { country: string; region: string }): void => {
    localStorage.setItem(remembered, JSON.stringify(place));
    setPlace(place);
    setLeft(new Set());
  };
  const toggle = (name: string): void => {
    const next = new Set(left);
    if (!next.delete(name)) next.add(name);
    setLeft(next);
  };
  const keep = async (): Promise<void> => {
    const added = chosen.map(({ holiday: { name, from: first, to: last } }): SpecialDate => ({
      id: newId(specialDateId),
      name,
      when: { type: 'once', from: first, to: last },
      moved: 'stays',
      hours: closedAllDay,
      words: '',
    }));
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
              {days.map(showDays).join('; ')}
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

/** Those to come that are not among the special dates yet, by name. */
function offeredOf(holidays: readonly Holiday[], hours: Hours, today: DayNumber): readonly Offered[] {
  const there = new Set(hours.special.map(({ name, when }) => (when.type === 'once' ? `${name} ${when.from}` : name)));
  const byName = new Map<string, Offered['days'][number][]>();
  for (const holiday of holidays) {
    const [from, to] = [readDate(holiday.from), readDate(holiday.to)];
    if (from === undefined || to === undefined || to < today) continue;
    if (there.has(holiday.name) || there.has(`${holiday.name} ${holiday.from}`)) continue;
    byName.set(holiday.name, [...(byName.get(holiday.name) ?? []), { holiday, from, to }]);
  }
  return [...byName].map(([name, days]) => ({ name, days }));
}

/** The country chosen last, else the browser's own. */
function readPlace(): { country: string; region: string } {
  try {
    const { country, region } = JSON.parse(localStorage.getItem(remembered) ?? '') as Record<string, unknown>;
    if (typeof country === 'string' && typeof region === 'string') return { country, region };
  } catch {
    // Nothing was chosen yet.
  }
  return { country: new Intl.Locale(navigator.language).maximize().region ?? 'US', region: '' };
}
