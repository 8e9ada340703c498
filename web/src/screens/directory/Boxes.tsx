import { IconButton, Table, Text } from '@chakra-ui/react';
import { defaultLongestMessageSeconds, longestName } from '@locutor/core/directory';
import type { GreetingId } from '@locutor/core/line';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useBoxes, useGreetings, type KeptBox } from '../../api/resources';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { RowSavingNote } from '../../parts/RowSavingNote';
import { useRemoveRow } from '../../parts/useRemoveRow';
import { useRowDraft } from '../../parts/useRowDraft';
import { AddRow } from './AddRow';
import { CellField } from './CellField';
import { NewField } from './NewField';
import { RowTable } from './RowTable';
import { useUses } from './useUses';

const list = '/api/boxes';
const columns = [
  { name: 'Box', width: '26%' },
  { name: 'Before the beep', width: '24%' },
  { name: 'Longest message', width: '130px' },
  { name: 'Used in the script' },
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
  const remove = useRemoveRow(list);
  const uses = useUses()(box.id);
  const isRefused = saving.saving.type === 'refused' || saving.saving.type === 'stale';
  return (
    <Table.Row bg="transparent" verticalAlign="top">
      <Table.Cell>
        <CellField
          label={`Name of the box ${box.name}`}
          value={row.name}
          most={longestName}
          onChange={(name) => change({ name })}
        />
        {isRefused && <RowSavingNote {...saving} />}
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
      <Table.Cell color="quiet" fontSize="13px" pt="3">
        {uses || 'Nowhere'}
      </Table.Cell>
      <Table.Cell>
        <IconButton
          size="xs"
          variant="ghost"
          aria-label={`Delete the box ${box.name}`}
          title={`Delete ${box.name}`}
          onClick={() => void remove(box)}
        >
          <Trash2 size={14} />
        </IconButton>
      </Table.Cell>
    </Table.Row>
  );
}

function AddBox() {
  const [name, setName] = useState('');
  return (
    <AddRow
      list={list}
      label="Add box"
      isReady={name.trim() !== ''}
      body={() => ({ name, greetingId: null, longestMessageSeconds: defaultLongestMessageSeconds })}
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
