import { Flex, Input, Text } from '@chakra-ui/react';
import { longestSheetName, type Sheet } from '@locutor/core/line';
import { useState, type ReactNode } from 'react';
import { useDraftTools } from '../../draft/DraftProvider';
import { SheetMenu } from './SheetMenu';

/** A sheet's name, typed in place, what kind it is, and what can be done with it. */
export function SheetName({ sheet, children }: { readonly sheet: Sheet; readonly children: ReactNode }) {
  const { edit } = useDraftTools();
  return (
    <Flex align="center" gap="2" wrap="wrap">
      <NameField
        label={sheet.type === 'menu' ? 'Name of the menu' : 'Name of the announcement'}
        name={sheet.name}
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
  readonly onRename: (name: string) => void;
}

/** A name typed in place; while it is empty the old one stays. */
export function NameField({ label, name, onRename }: FieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Input
      aria-label={label}
      value={typed ?? name}
      maxLength={longestSheetName}
      onChange={({ currentTarget: { value } }) => {
        setTyped(value);
        if (value.trim()) onRename(value.trim());
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
  );
}
