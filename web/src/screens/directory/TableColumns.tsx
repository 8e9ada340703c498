import { Box, Flex, Text } from '@chakra-ui/react';
import { personColumns, type PeopleTable, type PersonColumn, type TableChoice } from '@locutor/core/formats';
import { InlineSelect } from '../../parts/InlineSelect';

interface Props {
  readonly table: PeopleTable;
  readonly choice: TableChoice;
  readonly onChange: (choice: TableChoice) => void;
}

const notTaken = 'none';
const columnWords: Readonly<Record<PersonColumn, string>> = {
  name: 'the name',
  firstName: 'the first name',
  lastName: 'the last name',
  extension: 'the extension',
  email: 'the e-mail address',
  mobile: 'the mobile',
  saidAs: 'how the name is said',
};
const choices = [
  ...personColumns.map((value) => ({ value, label: columnWords[value] })),
  { value: notTaken, label: 'not taken' },
];

/** What each column of a table is taken for, to be set right; and whether its first row is somebody, where that is not plain. */
export function Columns({ table: { columns, hasHeading, isHeadingKnown }, choice, onChange }: Props) {
  return (
    <Box mt="3" role="region" aria-label="Columns">
      {!isHeadingKnown && (
        <Text mb="1">
          The first row{' '}
          <InlineSelect
            label="What the first row is"
            value={hasHeading ? 'heading' : 'person'}
            choices={[
              { value: 'heading', label: 'seems to name the columns' },
              { value: 'person', label: 'is somebody' },
            ]}
            onChange={(value) => onChange({ ...choice, hasHeading: value === 'heading' })}
          />
          .
        </Text>
      )}
      <Flex gap="4" rowGap="1" wrap="wrap">
        {columns.map(({ head, is }, at) => (
          <Box key={at}>
            <Text fontSize="12px" color="quiet" maxW="200px" truncate>
              {head || `Column ${at + 1}`}
            </Text>
            <InlineSelect
              label={`What column ${at + 1} is, ${head}`}
              value={is ?? notTaken}
              choices={choices}
              onChange={(value) => {
                const chosen = value === notTaken ? null : (value as PersonColumn);
                onChange({ ...choice, columns: { ...choice.columns, [at]: chosen } });
              }}
            />
          </Box>
        ))}
      </Flex>
    </Box>
  );
}
