import { IconButton, Table, Text } from '@chakra-ui/react';
import { longestName, nextFreeExtension } from '@locutor/core/directory';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { usePeople, type KeptPerson } from '../../api/resources';
import { RowSavingNote } from '../../parts/RowSavingNote';
import { useRemoveRow } from '../../parts/useRemoveRow';
import { useRowDraft } from '../../parts/useRowDraft';
import { AddRow } from './AddRow';
import { CellField } from './CellField';
import { NewField } from './NewField';
import { RowTable } from './RowTable';
import { useUses } from './useUses';

const list = '/api/people';
const columns = [{ name: 'Name', width: '34%' }, { name: 'Extension', width: '110px' }, { name: 'Used in the script' }];

/** The staff, typed in place, and where each is used. */
export function People() {
  const people = usePeople();
  return (
    <>
      <RowTable columns={columns}>
        {people.map((person) => (
          <PersonRow key={person.id} person={person} />
        ))}
      </RowTable>
      {people.length === 0 && <Text py="3">Nobody yet. Add those who answer calls.</Text>}
      <AddPerson people={people} />
    </>
  );
}

function PersonRow({ person }: { readonly person: KeptPerson }) {
  const { row, change, ...saving } = useRowDraft(list, person);
  const remove = useRemoveRow(list);
  const uses = useUses()(person.id);
  const isRefused = saving.saving.type === 'refused' || saving.saving.type === 'stale';
  return (
    <Table.Row bg="transparent" verticalAlign="top">
      <Table.Cell>
        <CellField
          label={`Name of ${person.name}`}
          value={row.name}
          most={longestName}
          onChange={(name) => change({ name })}
        />
        {isRefused && <RowSavingNote {...saving} />}
      </Table.Cell>
      <Table.Cell>
        <CellField
          label={`Extension of ${person.name}`}
          value={row.extension}
          most={6}
          isNumber
          onChange={(extension) => change({ extension })}
        />
      </Table.Cell>
      <Table.Cell color="quiet" fontSize="13px" pt="3">
        {uses || 'Nowhere'}
      </Table.Cell>
      <Table.Cell>
        <IconButton
          size="xs"
          variant="ghost"
          aria-label={`Delete ${person.name}`}
          title={`Delete ${person.name}`}
          onClick={() => void remove(person)}
        >
          <Trash2 size={14} />
        </IconButton>
      </Table.Cell>
    </Table.Row>
  );
}

function AddPerson({ people }: { readonly people: readonly KeptPerson[] }) {
  const [name, setName] = useState('');
  const [extension, setExtension] = useState<string | null>(null);
  const shown = extension ?? nextFreeExtension(people);
  const clear = (): void => {
    setName('');
    setExtension(null);
  };
  return (
    <AddRow
      list={list}
      label="Add person"
      isReady={name.trim() !== ''}
      body={() => ({ name, extension: shown })}
      onAdded={clear}
    >
      <NewField label="Name of a new person" placeholder="Name" value={name} most={longestName} onChange={setName} />
      <NewField label="Extension of a new person" value={shown} most={6} isNumber onChange={setExtension} />
    </AddRow>
  );
}
