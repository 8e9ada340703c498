import { Box, Button, Flex, IconButton, Menu, Portal, Table, Text } from '@chakra-ui/react';
import { longestEmail, longestName, nextFreeExtension, showPhoneNumber, type Person } from '@locutor/core/directory';
import { writePeopleCsv, writeVcards } from '@locutor/core/formats';
import { ChevronDown, ChevronRight, Download, Trash2, Upload } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { usePeople, type KeptPerson } from '../../api/resources';
import { SavingNote } from '../../saving/SavingNote';
import { saveFile } from '../../parts/saveFile';
import { useRowDraft } from '../../saving/useRowDraft';
import { AddRow } from './AddRow';
import { CellField } from './CellField';
import { fits } from './fits';
import { NewField } from './NewField';
import { PersonDetails } from './PersonDetails';
import { RowTable } from './RowTable';
import { SearchField } from './SearchField';
import { useLeave } from './useLeave';
import { UsesCell } from './UsesCell';

const list = '/api/people';
const columns = [
  { name: 'Name', width: '24%' },
  { name: 'Extension', width: '92px' },
  { name: 'Reached on', width: '20%' },
  { name: 'E-mail', width: '27%' },
  { name: 'Used' },
];

/** The staff, typed in place, and where each is used. */
export function People() {
  const people = usePeople();
  const [search, setSearch] = useState('');
  const found = people.filter(({ name, extension, email, mobile }) => fits(search, name, extension, email, mobile));
  return (
    <>
      <Flex gap="2" mb="2" align="center" wrap="wrap">
        <SearchField label="Search people" value={search} onChange={setSearch} />
        <Text color="quiet" fontSize="13px" mr="auto">
          {search ? `${found.length} of ${people.length}` : `${people.length} people`}
        </Text>
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/directory/take-in">
            <Upload size={14} aria-hidden /> Bring people in
          </Link>
        </Button>
        <SaveAs people={people} />
      </Flex>
      <RowTable columns={columns}>
        {found.map((person) => (
          <PersonRow key={person.id} person={person} />
        ))}
      </RowTable>
      {people.length === 0 && <Text py="3">Nobody yet. Add those who answer calls, or bring them in from a list.</Text>}
      {people.length > 0 && found.length === 0 && <Text py="3">Nobody matches “{search}”.</Text>}
      <AddPerson people={people} />
    </>
  );
}

function SaveAs({ people }: { readonly people: readonly Person[] }) {
  return (
    <Menu.Root>
      <Menu.Trigger asChild>
        <Button size="sm" variant="outline" bg="sheet" disabled={people.length === 0}>
          <Download size={14} aria-hidden /> Save as
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            <Menu.Item value="csv" onSelect={() => saveFile('people.csv', 'text/csv', writePeopleCsv(people))}>
              Spreadsheet (CSV)
            </Menu.Item>
            <Menu.Item value="vcard" onSelect={() => saveFile('people.vcf', 'text/vcard', writeVcards(people))}>
              Contact cards (vCard)
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

function PersonRow({ person }: { readonly person: KeptPerson }) {
  const { row, change, ...saving } = useRowDraft(list, person);
  const [isOpen, setOpen] = useState(false);
  const leave = useLeave(list);
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <>
      <Table.Row bg="transparent" verticalAlign="top">
        <Table.Cell>
          <Flex align="center">
            <IconButton
              size="2xs"
              variant="ghost"
              minW="24px"
              h="24px"
              ml="-2"
              aria-expanded={isOpen}
              aria-label={`More about ${person.name}`}
              title="Phones, hours, how the name is said"
              onClick={() => setOpen(!isOpen)}
            >
              <Chevron size={14} />
            </IconButton>
            <Box flex="1" ml="2">
              <CellField
                label={`Name of ${person.name}`}
                value={row.name}
                most={longestName}
                onChange={(name) => change({ name })}
              />
            </Box>
          </Flex>
          <SavingNote {...saving} isBrief />
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
        <Table.Cell pt="3" fontSize="13px">
          {phonesInWords(row)}
        </Table.Cell>
        <Table.Cell>
          <CellField
            label={`E-mail of ${person.name}`}
            value={row.email}
            most={longestEmail}
            onChange={(email) => change({ email })}
          />
        </Table.Cell>
        <UsesCell id={person.id} name={person.name} />
        <Table.Cell>
          <IconButton
            size="xs"
            variant="ghost"
            aria-label={`Delete ${person.name}`}
            title={`Delete ${person.name}, or put somebody else in their place`}
            onClick={() => void leave.ask(person)}
          >
            <Trash2 size={14} />
          </IconButton>
          {leave.dialog}
        </Table.Cell>
      </Table.Row>
      {isOpen && (
        <Table.Row bg="sunk">
          <Table.Cell colSpan={6} px="8" py="3">
            <PersonDetails person={row} onChange={change} />
          </Table.Cell>
        </Table.Row>
      )}
    </>
  );
}

function phonesInWords({ phones }: Person): string {
  return phones.map((phone) => (phone.type === 'desk' ? 'desk' : showPhoneNumber(phone.number))).join(', then ');
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
