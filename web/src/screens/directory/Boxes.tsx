import { Button, Flex, IconButton, Table, Text } from '@chakra-ui/react';
import {
  codePattern,
  longestName,
  tellWays,
  type Box,
  type Person,
  type PersonId,
  type Tell,
  type TellBy,
} from '@locutor/core/directory';
import type { GreetingId } from '@locutor/core/line';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useBoxes, useGreetings, usePeople, type KeptBox } from '../../api/resources';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { SavingNote } from '../../saving/SavingNote';
import { useRowDraft } from '../../saving/useRowDraft';
import { AddRow } from './AddRow';
import { CellField } from './CellField';
import { NewField } from './NewField';
import { RowTable } from './RowTable';
import { tellWords } from '../../path/tellWords';
import { useLeave } from './useLeave';
import { UsesCell } from './UsesCell';

const list = '/api/boxes';
const columns = [
  { name: 'Box', width: '15%' },
  { name: 'Whose, and how it is heard', width: '19%' },
  { name: 'Before the message', width: '20%' },
  { name: 'Longest', width: '72px' },
  { name: 'Who is told', width: '20%' },
  { name: 'Used' },
];

/** The voicemail boxes: greeting before the beep, longest message, and where each is used. */
export function Boxes() {
  const boxes = useBoxes();
  return (
    <>
      <RowTable columns={columns}>
        {boxes.map((box) => (
          <BoxRow key={box.id} box={box} />
        ))}
      </RowTable>
      {boxes.length === 0 && <Text py="3">No boxes yet. Callers can leave a message once there is one.</Text>}
      <AddBox />
    </>
  );
}

function BoxRow({ box }: { readonly box: KeptBox }) {
  const { row, change, ...saving } = useRowDraft(list, box);
  const greetings = useGreetings();
  const people = usePeople();
  const leave = useLeave(list);
  return (
    <Table.Row bg="transparent" verticalAlign="top">
      <Table.Cell>
        <CellField
          label={`Name of the box ${box.name}`}
          value={row.name}
          most={longestName}
          onChange={(name) => change({ name })}
        />
        <SavingNote {...saving} isBrief />
      </Table.Cell>
      <Table.Cell pt="2.5">
        <InlineSelect
          label={`Owner of the box ${box.name}`}
          value={row.ownerId ?? 'none'}
          choices={[
            { value: 'none', label: 'the office’s' },
            ...people.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(value) => change({ ownerId: value === 'none' ? null : (value as PersonId) })}
        />
        <HeardByPhone box={row} onChange={change} />
      </Table.Cell>
      <Table.Cell pt="2.5">
        <InlineSelect
          label={`Greeting of the box ${box.name}`}
          value={row.greetingId ?? 'none'}
          choices={[
            { value: 'none', label: 'made from its name' },
            ...greetings.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(value) => change({ greetingId: value === 'none' ? null : (value as GreetingId) })}
        />
        {', '}
        <InlineSelect
          label={`Beep of the box ${box.name}`}
          value={row.beep ? 'yes' : 'no'}
          choices={[
            { value: 'yes', label: 'then a beep' },
            { value: 'no', label: 'no beep' },
          ]}
          onChange={(value) => change({ beep: value === 'yes' })}
        />
      </Table.Cell>
      <Table.Cell pt="2.5">
        <InlineNumber
          label={`Longest message of the box ${box.name}, in seconds`}
          value={row.longestMessageSeconds}
          least={10}
          most={600}
          step={30}
          onChange={(longestMessageSeconds) => change({ longestMessageSeconds })}
        />{' '}
        s
      </Table.Cell>
      <Table.Cell pt="2.5">
        <Told name={box.name} tell={row.tell} people={people} onChange={(tell) => change({ tell })} />
      </Table.Cell>
      <UsesCell id={box.id} name={box.name} />
      <Table.Cell>
        <IconButton
          size="xs"
          variant="ghost"
          aria-label={`Delete the box ${box.name}`}
          title={`Delete ${box.name}`}
          onClick={() => void leave.ask(box)}
        >
          <Trash2 size={14} />
        </IconButton>
        {leave.dialog}
      </Table.Cell>
    </Table.Row>
  );
}

/** What colleagues dial to hear the messages on a desk phone. The PIN is never shown again. */
function HeardByPhone({
  box,
  onChange,
}: {
  box: KeptBox;
  onChange: (changes: Partial<Box & { pin: string }>) => void;
}) {
  const [pin, setPin] = useState('');
  const [code, setCode] = useState(box.code);
  const send = (nextCode: string, nextPin: string): void => {
    const isCode = nextCode === '' || codePattern.test(nextCode);
    const isPin = /^[0-9]{4,8}$/.test(nextPin);
    if (isCode && (isPin || nextPin === '')) onChange({ code: nextCode, ...(isPin ? { pin: nextPin } : {}) });
  };
  return (
    <Flex fontSize="13px" align="baseline" gap="1" wrap="wrap" color="quiet">
      <span style={{ whiteSpace: 'nowrap' }}>
        dial{' '}
        <InlineWords
          label={`Code of the box ${box.name}`}
          placeholder="no code"
          value={code}
          most={7}
          fontFamily="mono"
          fontSize="13px"
          minW="46px"
          onChange={(next) => {
            setCode(next.trim());
            send(next.trim(), pin);
          }}
        />
      </span>
      <span style={{ whiteSpace: 'nowrap' }}>
        PIN{' '}
        <InlineWords
          label={`New PIN of the box ${box.name}, 4 to 8 digits`}
          placeholder={box.code ? '••••' : 'none'}
          value={pin}
          most={8}
          fontFamily="mono"
          fontSize="13px"
          minW="40px"
          onChange={(next) => {
            setPin(next.trim());
            send(code, next.trim());
          }}
        />
      </span>
    </Flex>
  );
}

interface ToldProps {
  readonly name: string;
  readonly tell: readonly Tell[];
  readonly people: readonly Person[];
  readonly onChange: (tell: readonly Tell[]) => void;
}

/** Who is told of messages in a box, and how; somebody who cannot be told that way is named. */
function Told({ name, tell, people, onChange }: ToldProps) {
  const put = (index: number, next: Tell | null): void =>
    onChange(tell.flatMap((each, at) => (at === index ? (next ?? []) : [each])));
  const [isAdding, setAdding] = useState(false);
  return (
    <>
      {tell.map(({ personId, by }, index) => (
        <div key={index}>
          <InlineSelect
            label={`Person ${index + 1} told by the box ${name}`}
            value={personId}
            choices={[
              ...people.map((person) => ({ value: person.id, label: person.name })),
              { value: 'nobody', label: '(nobody)' },
            ]}
            onChange={(value) => put(index, value === 'nobody' ? null : { personId: value as PersonId, by })}
          />{' '}
          <InlineSelect
            label={`How person ${index + 1} is told by the box ${name}`}
            value={by}
            choices={tellWays.map((way) => ({ value: way, label: tellWords[way] }))}
            onChange={(value) => put(index, { personId, by: value as TellBy })}
          />
          {!canBeTold(people, personId, by) && (
            <Text fontSize="12.5px" role="status">
              {by === 'text' ? 'has no mobile' : 'has no e-mail address'}
            </Text>
          )}
        </div>
      ))}
      {isAdding ? (
        <InlineSelect
          label={`Who else is told by the box ${name}`}
          value=""
          toChoose="whom?"
          choices={people.map((person) => ({ value: person.id, label: person.name }))}
          onChange={(value) => {
            onChange([...tell, { personId: value as PersonId, by: 'email' }]);
            setAdding(false);
          }}
        />
      ) : (
        people.length > 0 && (
          <Button
            size="2xs"
            variant="ghost"
            colorPalette="petrol"
            ml="-1"
            aria-label={`Tell somebody of messages in ${name}`}
            onClick={() => setAdding(true)}
          >
            <Plus size={12} aria-hidden /> tell somebody
          </Button>
        )
      )}
    </>
  );
}

function canBeTold(people: readonly Person[], personId: PersonId, by: TellBy): boolean {
  const person = people.find(({ id }) => id === personId);
  return Boolean(by === 'text' ? person?.mobile : person?.email);
}

function AddBox() {
  const [name, setName] = useState('');
  return (
    <AddRow
      list={list}
      label="Add box"
      isReady={name.trim() !== ''}
      body={() => ({ name })}
      onAdded={() => setName('')}
    >
      <NewField
        label="Name of a new box"
        placeholder="Name of the box"
        value={name}
        most={longestName}
        onChange={setName}
      />
    </AddRow>
  );
}
