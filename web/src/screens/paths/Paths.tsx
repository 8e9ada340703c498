import { Box, Button, Flex, Input, Table, Text } from '@chakra-ui/react';
import {
  describeChoices,
  describeWholeEnd,
  describeMoment,
  differenceWords,
  staffWords,
  writePathsCsv,
  type FoundPath,
  type PathDifference,
} from '@locutor/core/paths';
import { Download } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { saveFile } from '../../parts/saveFile';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { RehearsalTabs } from '../rehearsals/RehearsalTabs';
import { usePaths } from './usePaths';

const shownAtOnce = 200;

interface Listed {
  readonly path: FoundPath;
  readonly is: PathDifference | null;
}

/** Every way through, for every kind of moment and staff situation, with filters. */
export default function Paths() {
  const { attendant, names, line } = useDraft();
  const { found, differences } = usePaths();
  const now = useNow(60_000);
  const [filter, setFilter] = useState({ moment: '', staff: '', end: '', over: '', changed: '' });
  const [search, setSearch] = useState('');
  const sought = useDeferredValue(search);
  const [shown, setShown] = useState(shownAtOnce);
  const all = useMemo((): readonly Listed[] => {
    const own = (found?.paths ?? []).map((path) => ({ path, is: differences?.get(path.key)?.is ?? null }));
    const gone = [...(differences?.values() ?? [])].filter(({ is }) => is === 'gone');
    return [...own, ...gone];
  }, [found, differences]);
  const listed = all.filter(({ path, is }) => {
    const over = Number(filter.over) * 1000;
    const words = `${describeChoices(path.turns)} ${describeWholeEnd(path.end, attendant, names)} ${describeMoment(path.moment, names)}`;
    return (
      (filter.moment === '' || path.moment.key === filter.moment) &&
      (filter.staff === '' || path.staff === filter.staff) &&
      (filter.end === '' || path.end.type === filter.end) &&
      (over === 0 || (path.personMs ?? path.endMs) > over) &&
      (filter.changed === '' || is !== null) &&
      words.toLowerCase().includes(sought.trim().toLowerCase())
    );
  });
  const set = (name: keyof typeof filter) => (value: string) =>
    setFilter({ ...filter, [name]: value === 'any' ? '' : value });
  const pick = (name: keyof typeof filter, label: string, choices: readonly { value: string; label: string }[]) => (
    <InlineSelect label={label} value={filter[name] || 'any'} choices={choices} onChange={set(name)} />
  );
  const ends = [...new Set(all.map(({ path }) => path.end.type))];
  const changes = differences?.size ?? 0;
  const save = (): void => {
    const csv = writePathsCsv(
      listed.map(({ path }) => path),
      attendant,
      names,
    );
    saveFile(`Paths of ${line.name}.csv`, 'text/csv', csv);
  };
  return (
    <Box pb="8">
      <ScreenHead title="Every path">
        <RehearsalTabs />
        <Button size="xs" variant="outline" bg="sheet" disabled={listed.length === 0} onClick={save}>
          <Download size={14} aria-hidden /> CSV
        </Button>
      </ScreenHead>
      <Box px="6">
        <Flex wrap="wrap" gap="1" align="center" rowGap="2" lineHeight="1.9">
          Show{' '}
          {pick('moment', 'At which kind of moment', [
            { value: 'any', label: 'every kind of moment' },
            ...(found?.moments ?? []).map((moment) => ({ value: moment.key, label: describeMoment(moment, names) })),
          ])}
          , where{' '}
          {pick('staff', 'What the staff does', [
            { value: 'any', label: 'the staff does anything' },
            ...Object.entries(staffWords).map(([value, label]) => ({ value, label })),
          ])}
          ,{' '}
          {pick('end', 'Where it ends', [
            { value: 'any', label: 'ending anywhere' },
            ...ends.map((value) => ({ value, label: endNames[value] })),
          ])}
          ,{' '}
          {pick('over', 'How long it takes', [
            { value: 'any', label: 'however long it takes' },
            ...[20, 30, 60, 120].map((each) => ({ value: String(each), label: `over ${each} s` })),
          ])}
          ,{' '}
          {pick('changed', 'Changed since on air', [
            { value: 'any', label: 'changed or not' },
            { value: 'yes', label: `other than on air (${changes})` },
          ])}
          <Input
            size="xs"
            w="160px"
            ml="auto"
            bg="sheet"
            aria-label="Search the paths"
            placeholder="Search"
            value={search}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
        </Flex>
        <Text mt="2" color="quiet" role="status">
          {!found
            ? 'Finding every path …'
            : `${listed.length.toLocaleString()} of ${all.length.toLocaleString()} paths${found.isCut ? '; there are more than can be listed' : ''}.`}
        </Text>
        <Table.Root size="sm" mt="2">
          <Table.Header>
            <Table.Row bg="transparent">
              <Table.ColumnHeader>When</Table.ColumnHeader>
              <Table.ColumnHeader>Keys</Table.ColumnHeader>
              <Table.ColumnHeader>If</Table.ColumnHeader>
              <Table.ColumnHeader>Ends</Table.ColumnHeader>
              <Table.ColumnHeader textAlign="end" title="For a caller who listens to the option first">
                To a person
              </Table.ColumnHeader>
              <Table.ColumnHeader textAlign="end" title="For a caller who knows the keys">
                Knowing keys
              </Table.ColumnHeader>
              <Table.ColumnHeader textAlign="end">In all</Table.ColumnHeader>
              <Table.ColumnHeader>Since on air</Table.ColumnHeader>
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {listed.slice(0, shown).map(({ path, is }) => (
              <Table.Row key={path.key} bg="transparent">
                <Table.Cell title={`Such as ${showWhen(path.moment.atMs, line.timeZone, now)}`}>
                  {describeMoment(path.moment, names)}
                </Table.Cell>
                <Table.Cell fontFamily="mono">{describeChoices(path.turns)}</Table.Cell>
                <Table.Cell>{staffWords[path.staff]}</Table.Cell>
                <Table.Cell>{describeWholeEnd(path.end, attendant, names)}</Table.Cell>
                <Seconds ms={path.personMs} />
                <Seconds ms={path.quickPersonMs} />
                <Seconds ms={path.endMs} />
                <Table.Cell color="quiet">{is ? differenceWords[is] : ''}</Table.Cell>
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
        {listed.length > shown && (
          <Button mt="3" size="sm" variant="outline" onClick={() => setShown(shown + shownAtOnce * 5)}>
            Show more
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Seconds({ ms }: { readonly ms: number | null }) {
  return (
    <Table.Cell textAlign="end" fontFamily="mono" whiteSpace="nowrap">
      {ms === null ? '–' : `${Math.round(ms / 1000)} s`}
    </Table.Cell>
  );
}

const endNames: Readonly<Record<FoundPath['end']['type'], string>> = {
  menu: 'in a menu',
  again: 'in a menu met before',
  message: 'in a message',
  hungUp: 'in a hang-up',
  talks: 'in a talk',
  handedOver: 'handed over outside',
  line: 'on another line',
  forEver: 'ringing for ever',
  ranOut: 'cut off',
  circle: 'in a circle',
};
