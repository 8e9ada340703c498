import { Text } from '@chakra-ui/react';
import { useBoxes, useContacts, useLines, usePeople } from '../../api/resources';
import { useLateAttendant } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import type { BehindAsked } from './behind';
import { choiceWords } from './choiceWords';

interface Props {
  readonly address: URLSearchParams;
  readonly onFilter: (asked: BehindAsked | Readonly<Record<string, null>>) => void;
}

/** Narrows the log: by line, by who was rung, by the box with the message, by what was pressed. */
export function LogFilters({ address, onFilter }: Props) {
  const { data: lines = [] } = useLines();
  const [people, contacts, boxes] = [usePeople(), useContacts(), useBoxes()];
  const attendant = useLateAttendant();
  const keys = attendant.sheets.flatMap((sheet) =>
    sheet.type === 'menu'
      ? sheet.options.map(({ key, label }) => ({
          value: `${sheet.id} ${key}`,
          label: `${sheet.name}: ${key} ${label}`,
        }))
      : [],
  );
  const pressed = address.get('sheetId') && `${address.get('sheetId')} ${address.get('choice') ?? ''}`;
  const other = pressed && !keys.some(({ value }) => value === pressed) ? [otherKey(pressed)] : [];
  const pick = (name: 'who' | 'boxId' | 'lineId') => (value: string) =>
    onFilter(value === 'any' ? { [name]: null } : { [name]: value });
  return (
    <Text>
      {lines.length > 1 && (
        <>
          to{' '}
          <InlineSelect
            label="Line"
            value={address.get('lineId') ?? 'any'}
            choices={[
              { value: 'any', label: 'any line' },
              ...lines.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={pick('lineId')}
          />{' '}
        </>
      )}
      for which{' '}
      <InlineSelect
        label="Who was rung"
        value={address.get('who') ?? 'any'}
        choices={[
          { value: 'any', label: 'anybody or nobody' },
          ...[...people, ...contacts].map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={pick('who')}
      />{' '}
      was rung, with{' '}
      <InlineSelect
        label="Box"
        value={address.get('boxId') ?? 'any'}
        choices={[
          { value: 'any', label: 'a message or none' },
          ...boxes.map(({ id, name }) => ({ value: id, label: `a message in ${name}` })),
        ]}
        onChange={pick('boxId')}
      />
      , who pressed{' '}
      <InlineSelect
        label="What was pressed"
        value={pressed ?? 'any'}
        choices={[{ value: 'any', label: 'anything or nothing' }, ...keys, ...other]}
        onChange={(value) => {
          const [sheetId = '', choice = ''] = value.split(' ');
          onFilter(value === 'any' ? { sheetId: null, choice: null, first: null } : { sheetId, choice });
        }}
      />
    </Text>
  );
}

function otherKey(pressed: string) {
  const choice = pressed.split(' ')[1] ?? '';
  const words = choice === '' ? 'something in it' : choiceWords(choice as never);
  return { value: pressed, label: `${words}, as above` };
}
