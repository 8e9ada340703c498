import { Box, Button, Flex, IconButton, Input, Table, Text } from '@chakra-ui/react';
import { longestName, nextFreeExtension } from '@locutor/core/directory';
import { Plus, Trash2 } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { usePeople, type KeptPerson } from '../../api/resources';
import { RowSavingNote } from '../../parts/RowSavingNote';
import { useRemoveRow } from '../../parts/useRemoveRow';
import { useRowDraft } from '../../parts/useRowDraft';
import { CellField } from './CellField';
import { useUses } from './useUses';

const list = '/api/people';

/** The staff, typed in place, and where each is used. */
export function People() {
  const people = usePeople();
  return (
    <>
      <Table.Root size="sm" tableLayout="fixed">
        <Table.Header>
          <Table.Row bg="transparent">
            <Table.ColumnHeader w="34%">Name</Table.ColumnHeader>
            <Table.ColumnHeader w="110px">Extension</Table.ColumnHeader>
            <Table.ColumnHeader>Used in the script</Table.ColumnHeader>
            <Table.ColumnHeader w="48px">
              <Box as="span" srOnly>
                Delete
              </Box>
            </Table.ColumnHeader>
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {people.map((person) => (
            <PersonRow key={person.id} person={person} />
          ))}
        </Table.Body>
      </Table.Root>
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
  const { mutate } = useSWRConfig();
  const [name, setName] = useState('');
  const [extension, setExtension] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const free = nextFreeExtension(people);
  const add = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    try {
      await api(list, { method: 'POST', body: { name, extension: extension ?? free } });
      setName('');
      setExtension(null);
      setProblem(null);
      await mutate(list);
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  return (
    <Box asChild mt="3">
      <form onSubmit={(event) => void add(event)}>
        <Flex gap="2" align="center" wrap="wrap">
          <Input
            size="sm"
            w="240px"
            bg="sheet"
            aria-label="Name of a new person"
            placeholder="Name"
            value={name}
            maxLength={longestName}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Input
            size="sm"
            w="90px"
            bg="sheet"
            fontFamily="mono"
            aria-label="Extension of a new person"
            value={extension ?? free}
            maxLength={6}
            onChange={(event) => setExtension(event.currentTarget.value)}
          />
          <Button size="sm" type="submit" variant="outline" bg="sheet" disabled={name.trim() === ''}>
            <Plus size={14} aria-hidden /> Add person
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
