import { Box, Heading, Table, Text } from '@chakra-ui/react';
import {
  compareHours,
  compareYears,
  dayNumber,
  describeHoursDifference,
  lengthWords,
  type DayRange,
  type Hours,
} from '@locutor/core/hours';
import { useMemo, useState } from 'react';
import { InlineSelect } from '../../parts/InlineSelect';
import { showMinutes } from '../../parts/time';
import { showDays } from '../hours/specialWords';

interface Props {
  readonly hours: Hours;
  readonly year: number;
  readonly all: readonly Hours[];
}

const nextYear = 'nextYear';

/** These hours beside others, or this year beside the next, with what differs in words. */
export function Compared({ hours, year, all }: Props) {
  const [chosen, setWith] = useState<string>(nextYear);
  const other = all.find(({ id }) => id === chosen && id !== hours.id);
  const choices = [
    { value: nextYear, label: `the year ${year + 1}` },
    ...all.filter(({ id }) => id !== hours.id).map(({ id, name }) => ({ value: id, label: name })),
  ];
  return (
    <Box as="section" aria-labelledby="compared-title" mt="7">
      <Heading as="h2" id="compared-title" fontSize="15px" fontWeight="600">
        Compared with{' '}
        <InlineSelect
          label="What to compare with"
          value={other ? chosen : nextYear}
          choices={choices}
          onChange={setWith}
        />
      </Heading>
      {other ? <Sets one={hours} other={other} year={year} /> : <Years hours={hours} year={year} />}
    </Box>
  );
}

function Sets({ one, other, year }: { readonly one: Hours; readonly other: Hours; readonly year: number }) {
  const days = useMemo(() => ({ from: dayNumber(year, 1, 1), to: dayNumber(year, 12, 31) }), [year]);
  const differences = useMemo(() => compareHours(one, other, days), [one, other, days]);
  if (differences.length === 0) {
    return (
      <Text mt="1">
        {one.name} and {other.name} are open at the same times all through {year}.
      </Text>
    );
  }
  return (
    <Box as="ul" listStyleType="disc" pl="5" mt="1">
      {differences.map((difference) => {
        const says = describeHoursDifference(difference, one.name, other.name, showMinutes);
        return <li key={says}>{says}</li>;
      })}
    </Box>
  );
}

function Years({ hours, year }: { readonly hours: Hours; readonly year: number }) {
  const { sums, special } = useMemo(() => compareYears(hours, year, year + 1), [hours, year]);
  const show = (days: DayRange | null): string => (days ? showDays(days) : 'not that year');
  return (
    <Table.Root size="sm" mt="1" maxW="760px" bg="transparent">
      <Table.Header>
        <Table.Row bg="transparent">
          <Table.ColumnHeader>What differs</Table.ColumnHeader>
          {sums.map((sum) => (
            <Table.ColumnHeader key={sum.year}>{sum.year}</Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        <Table.Row bg="transparent">
          <Table.Cell>Open in all</Table.Cell>
          {sums.map((sum) => (
            <Table.Cell key={sum.year}>{lengthWords(sum.openMin) || 'never'}</Table.Cell>
          ))}
        </Table.Row>
        <Table.Row bg="transparent">
          <Table.Cell>Days closed</Table.Cell>
          {sums.map((sum) => (
            <Table.Cell key={sum.year}>{sum.closedDays}</Table.Cell>
          ))}
        </Table.Row>
        {special.map(({ name, one, other }) => (
          <Table.Row key={name} bg="transparent">
            <Table.Cell>{name}</Table.Cell>
            <Table.Cell>{show(one)}</Table.Cell>
            <Table.Cell>{show(other)}</Table.Cell>
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
  );
}
