import { useCountry } from '../../parts/useCountry';
import { IconButton, Table, Text } from '@chakra-ui/react';
import { exampleNumber, longestName } from '@locutor/core/directory';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useContacts, type KeptContact } from '../../api/resources';
import { SavingNote } from '../../saving/SavingNote';
import { useRowDraft } from '../../saving/useRowDraft';
import { AddRow } from './AddRow';
import { CellField } from './CellField';
import { DateField } from '../../parts/DateField';
import { NewField } from './NewField';
import { NumberField } from './NumberField';
import { RowTable } from './RowTable';
import { useLeave } from './useLeave';
import { UsesCell } from './UsesCell';

const list = '/api/contacts';
const columns = [
  { name: 'Name', width: '20%' },
  { name: 'Number', width: '156px' },
  { name: 'In service from', width: '144px' },
  { name: 'until', width: '144px' },
  { name: 'Used' },
];

/** Numbers outside the business to which calls are sent, and the days on which they can be. */
export function Contacts() {
  const contacts = useContacts();
  return (
    <>
      <RowTable columns={columns}>
        {contacts.map((contact) => (
          <ContactRow key={contact.id} contact={contact} />
        ))}
      </RowTable>
      {contacts.length === 0 && (
        <Text py="3">
          Nobody outside yet. Add whom calls are sent to: a colleague’s second office, a call-out service.
        </Text>
      )}
      <AddContact />
    </>
  );
}

function ContactRow({ contact }: { readonly contact: KeptContact }) {
  const { row, change, ...saving } = useRowDraft(list, contact);
  const leave = useLeave(list);
  return (
    <Table.Row bg="transparent" verticalAlign="top">
      <Table.Cell>
        <CellField
          label={`Name of ${contact.name}`}
          value={row.name}
          most={longestName}
          onChange={(name) => change({ name })}
        />
        <SavingNote {...saving} isBrief />
      </Table.Cell>
      <Table.Cell pt="2.5">
        <NumberField
          label={`Number of ${contact.name}`}
          value={row.number}
          onChange={(number) => number && change({ number })}
        />
      </Table.Cell>
      <Table.Cell>
        <DateField
          label={`First day in service of ${contact.name}`}
          value={row.serviceFrom ?? ''}
          canBeNone
          inWords={false}
          onChange={(day) => change({ serviceFrom: day || null })}
        />
      </Table.Cell>
      <Table.Cell>
        <DateField
          label={`Last day in service of ${contact.name}`}
          value={row.serviceUntil ?? ''}
          canBeNone
          inWords={false}
          onChange={(day) => change({ serviceUntil: day || null })}
        />
      </Table.Cell>
      <UsesCell id={contact.id} name={contact.name} />
      <Table.Cell>
        <IconButton
          size="xs"
          variant="ghost"
          aria-label={`Delete ${contact.name}`}
          title={`Delete ${contact.name}`}
          onClick={() => void leave.ask(contact)}
        >
          <Trash2 size={14} />
        </IconButton>
        {leave.dialog}
      </Table.Cell>
    </Table.Row>
  );
}

function AddContact() {
  const country = useCountry();
  const [name, setName] = useState('');
  const [number, setNumber] = useState('');
  return (
    <AddRow
      list={list}
      label="Add contact"
      isReady={name.trim() !== '' && number.trim() !== ''}
      body={() => ({ name, number })}
      onAdded={() => {
        setName('');
        setNumber('');
      }}
    >
      <NewField label="Name of a new contact" placeholder="Name" value={name} most={longestName} onChange={setName} />
      <NewField
        label="Number of a new contact"
        placeholder={exampleNumber(country)}
        value={number}
        most={24}
        onChange={setNumber}
      />
    </AddRow>
  );
}
