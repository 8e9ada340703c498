import { Box, Button, Flex, Input, Menu, Portal, Text } from '@chakra-ui/react';
import { countryOf, exampleNumber, longestName, showPhoneNumber } from '@locutor/core/directory';
import { longestAddress } from '@locutor/core/line';
import { ArrowLeftRight, Plus } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useAllHours, useLines, type KeptLine } from '../../api/resources';
import { baseOf } from '../../app/lineAt';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { Lamp } from '../../parts/Lamp';
import { tellDone, tellProblem } from '../../parts/notices';
import { askedFirst } from '../../saving/askedFirst';
import { SavingNote } from '../../saving/SavingNote';
import { ScreenHead } from '../../parts/ScreenHead';
import { useRowDraft } from '../../saving/useRowDraft';
import { CellField } from '../directory/CellField';
import { DateField } from '../../parts/DateField';
import { NumberField } from '../directory/NumberField';
import { OperatorChoice } from './OperatorChoice';

const list = '/api/lines';

/** The lines of the business: each with its number, its hours and an attendant of its own. */
export default function Lines() {
  const { data: lines = [] } = useLines();
  return (
    <Box pb="8">
      <ScreenHead title="Lines" />
      <Box px="6" maxW="900px">
        <Text color="quiet">
          Each line has an attendant of its own. A step of one can hand callers over to another; people, boxes and
          greetings are shared by all.
        </Text>
        <Box as="ul" listStyleType="none" mt="3">
          {lines.map((line) => (
            <LineRow key={line.id} kept={line} lines={lines} />
          ))}
        </Box>
        <AddLine lines={lines} />
      </Box>
    </Box>
  );
}

function LineRow({ kept, lines }: { readonly kept: KeptLine; readonly lines: readonly KeptLine[] }) {
  const { line } = useDraftTools();
  const { data: hours = [] } = useAllHours();
  const { row, change, ...saving } = useRowDraft(list, kept);
  const others = lines.filter(({ id }) => id !== kept.id);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="hairline" py="3" aria-label={kept.name}>
      <Flex align="center" gap="3" wrap="wrap">
        <Lamp isOn={Boolean(kept.onAirVersionId)} />
        <Box w="220px">
          <CellField
            label={`Name of the line ${kept.name}`}
            value={row.name}
            most={longestName}
            onChange={(name) => change({ name })}
          />
        </Box>
        <NumberField
          label={`Number of the line ${kept.name}`}
          value={row.number}
          onChange={(number) => number && change({ number })}
        />
        <Text color="quiet" fontSize="13px">
          {kept.onAirVersionId ? 'on air' : 'nothing on air yet'}
        </Text>
        {kept.id !== line.id && (
          <Text asChild ml="auto" color="petrol.fg" fontWeight="500">
            <a href={`${baseOf(kept, lines)}/script`}>Open its script</a>
          </Text>
        )}
      </Flex>
      <Flex align="center" gap="2" mt="1" wrap="wrap" fontSize="13px">
        Keeps the hours{' '}
        <InlineSelect
          label={`Hours of the line ${kept.name}`}
          value={row.hoursId}
          choices={hours.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(hoursId) => change({ hoursId: hoursId as KeptLine['hoursId'] })}
        />{' '}
        in the time zone {row.timeZone}. In service from
        <DateField
          label={`First day in service of the line ${kept.name}`}
          value={row.serviceFrom ?? ''}
          canBeNone
          onChange={(day) => change({ serviceFrom: day || null })}
        />
        until
        <DateField
          label={`Last day in service of the line ${kept.name}`}
          value={row.serviceUntil ?? ''}
          canBeNone
          onChange={(day) => change({ serviceUntil: day || null })}
        />
      </Flex>
      <Flex align="center" gap="2" mt="1" wrap="wrap" fontSize="13px">
        Callers who want somebody, whoever it is, reach the operator:
        <OperatorChoice line={row} onChange={(operatorId) => change({ operatorId })} />
      </Flex>
      <Flex align="center" gap="2" mt="1" wrap="wrap" fontSize="13px">
        Emergency services find it at
        <Box flex="1 1 260px" maxW="420px">
          <CellField
            label={`Emergency address of the line ${kept.name}`}
            value={row.emergencyAddress}
            most={longestAddress}
            onChange={(emergencyAddress) => change({ emergencyAddress })}
          />
        </Box>
        {others.length > 0 && <ExchangeNumbers line={kept} others={others} />}
      </Flex>
      <SavingNote {...saving} isBrief />
    </Box>
  );
}

/** Gives a line the number of another one, which gets its own: callers of each reach the other attendant. */
function ExchangeNumbers({ line, others }: { readonly line: KeptLine; readonly others: readonly KeptLine[] }) {
  const { mutate } = useSWRConfig();
  const exchange = async (other: KeptLine): Promise<void> => {
    try {
      const path = `${list}/${line.id}/exchange-numbers`;
      await mutate(list, await askedFirst(path, { method: 'POST', body: { with: other.id } }), { revalidate: false });
      tellDone(`${line.name} and ${other.name} have exchanged their numbers.`, () => void exchange(other));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Menu.Root>
      <Menu.Trigger asChild>
        <Button size="xs" variant="ghost" ml="auto">
          <ArrowLeftRight size={13} aria-hidden /> Exchange numbers
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {others.map((other) => (
              <Menu.Item key={other.id} value={other.id} onSelect={() => void exchange(other)}>
                with {other.name}
                <Menu.ItemCommand fontFamily="mono">{showPhoneNumber(other.number)}</Menu.ItemCommand>
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

function AddLine({ lines }: { readonly lines: readonly KeptLine[] }) {
  const { line } = useDraftTools();
  const { mutate } = useSWRConfig();
  const [name, setName] = useState('');
  const [number, setNumber] = useState('');
  const [copyOf, setCopyOf] = useState('none');
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    try {
      const body = { name, number, timeZone: line.timeZone, ...(copyOf === 'none' ? {} : { copyOf }) };
      await api(list, { method: 'POST', body });
      await Promise.all([mutate(list), mutate('/api/hours')]);
      setName('');
      setNumber('');
      setProblem(null);
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  return (
    <Box asChild mt="4" pt="3" borderTopWidth="1px" borderColor="hairline">
      <form onSubmit={(event) => void add(event)}>
        <Flex gap="2" align="center" wrap="wrap">
          <Input
            size="sm"
            w="200px"
            bg="sheet"
            aria-label="Name of a new line"
            placeholder="Second office"
            maxLength={longestName}
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Input
            size="sm"
            w="180px"
            bg="sheet"
            fontFamily="mono"
            aria-label="Number of a new line"
            placeholder={exampleNumber(countryOf(line))}
            maxLength={24}
            value={number}
            onChange={(event) => setNumber(event.currentTarget.value)}
          />
          <span>
            begins{' '}
            <InlineSelect
              label="What a new line begins with"
              value={copyOf}
              choices={[
                { value: 'none', label: 'with one menu' },
                ...lines.map((each) => ({ value: each.id, label: `as a copy of ${each.name}` })),
              ]}
              onChange={setCopyOf}
            />
          </span>
          <Button size="sm" type="submit" variant="outline" bg="sheet" disabled={!name.trim() || !number.trim()}>
            <Plus size={14} aria-hidden /> Add line
          </Button>
        </Flex>
        {problem && (
          <Text role="alert" mt="1" fontWeight="500">
            {problem}
          </Text>
        )}
      </form>
    </Box>
  );
}
