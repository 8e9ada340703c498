import { Flex, IconButton, Text } from '@chakra-ui/react';
import { longestName } from '@locutor/core/directory';
import type { ReferredId } from '@locutor/core/line';
import { Trash2 } from 'lucide-react';
import { SavingNote } from '../../saving/SavingNote';
import type { RowDraft } from '../../saving/useRowDraft';
import { NameField } from '../script/SheetName';
import { CellField } from './CellField';
import { useLeave } from './useLeave';
import { useUses } from './useUses';

interface Props {
  readonly list: string;
  /** What others of its kind are called. */
  readonly taken: readonly string[];
  readonly kind: 'group' | 'queue';
  readonly row: { readonly id: ReferredId; readonly name: string; readonly extension: string };
  readonly saving: Pick<RowDraft<unknown>, 'saving' | 'choose'>;
  readonly onChange: (changes: { name?: string; extension?: string }) => void;
}

/** The name, extension and uses of a group or queue, and how to delete it. */
export function MembershipHead({ list, taken, kind, row, saving, onChange }: Props) {
  const leave = useLeave(list);
  const uses = useUses().usesOf(row.id);
  return (
    <>
      <Flex align="center" gap="3" wrap="wrap">
        <NameField
          label={`Name of the ${kind}`}
          name={row.name}
          taken={taken}
          onRename={(name) => onChange({ name: name.slice(0, longestName) })}
        />
        <Flex align="center" gap="1" mr="auto">
          <Text color="quiet" fontSize="13px">
            extension
          </Text>
          <Flex w="84px">
            <CellField
              label={`Extension of ${row.name}`}
              value={row.extension}
              most={6}
              isNumber
              onChange={(extension) => onChange({ extension })}
            />
          </Flex>
        </Flex>
        <SavingNote {...saving} />
        <IconButton
          size="sm"
          variant="ghost"
          aria-label={`Delete the ${kind} ${row.name}`}
          title={`Delete ${row.name}`}
          onClick={() => void leave.ask(row)}
        >
          <Trash2 size={15} />
        </IconButton>
        {leave.dialog}
      </Flex>
      <Text color="quiet" fontSize="13px" mb="3">
        {uses.length > 0
          ? `Used: ${uses.join('; ')}.`
          : `Used nowhere yet. In any step of the Script choose this ${kind}.`}
      </Text>
    </>
  );
}
