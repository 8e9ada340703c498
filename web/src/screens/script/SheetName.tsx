import { Box, Flex, Input, Text } from '@chakra-ui/react';
import { folded, longestSheetName, type Sheet } from '@locutor/core/line';
import { useId, useState, type ReactNode } from 'react';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { sheetChoicesOf } from '../../path/sheetChoices';
import { SheetMenu } from './SheetMenu';

/** A sheet's name, typed in place, what kind it is, and what can be done with it. */
export function SheetName({ sheet, children }: { readonly sheet: Sheet; readonly children: ReactNode }) {
  const { edit } = useDraftTools();
  const others = useAttendantPart(sheetChoicesOf);
  return (
    <Flex align="center" gap="2" wrap="wrap">
      <NameField
        label={sheet.type === 'menu' ? 'Name of the menu' : 'Name of the announcement'}
        name={sheet.name}
        taken={others.filter(({ value }) => value !== sheet.id).map(({ label }) => label)}
        onRename={(name) => edit({ type: 'renameSheet', sheetId: sheet.id, name })}
      />
      <Text color="quiet" fontSize="13px" mr="auto">
        {sheet.type === 'menu' ? 'Menu' : 'Announcement: no keys while it is said'}
      </Text>
      {children}
      <SheetMenu id={sheet.id} name={sheet.name} />
    </Flex>
  );
}

interface FieldProps {
  readonly label: string;
  readonly name: string;
  /** What others of its kind are called. */
  readonly taken: readonly string[];
  readonly onRename: (name: string) => void;
}

/** A name typed in place; while it is empty, or another's, the old one stays. */
export function NameField({ label, name, taken, onRename }: FieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const noteId = useId();
  const takenBy = (text: string): string | undefined => taken.find((each) => folded(each) === folded(text));
  const other = typed === null ? undefined : takenBy(typed);
  return (
    <Box pt="1px">
      <Input
        aria-invalid={other !== undefined || undefined}
        aria-describedby={other === undefined ? undefined : noteId}
        aria-label={label}
        value={typed ?? name}
        maxLength={longestSheetName}
        onChange={({ currentTarget: { value } }) => {
          setTyped(value);
          if (value.trim() && !takenBy(value)) onRename(value.trim());
        }}
        onBlur={() => setTyped(null)}
        fontSize="20px"
        fontWeight="600"
        h="9"
        px="2"
        ml="-2"
        w="auto"
        minW="120px"
        maxW="100%"
        css={{ fieldSizing: 'content' }}
        borderColor="transparent"
        bg="transparent"
        _hover={{ borderColor: 'hairline' }}
      />
      {other !== undefined && (
        <Text id={noteId} role="alert" fontSize="13px" fontWeight="500">
          “{other}” is the name of another one. Type a different one; until then it stays “{name}”.
        </Text>
      )}
    </Box>
  );
}
