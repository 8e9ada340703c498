import { Flex, IconButton, Input, Text } from '@chakra-ui/react';
import { describeSlot, longestSheetName, usesOf, type Sheet } from '@locutor/core/line';
import { Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { tellDone, tellProblem } from '../../parts/notices';

/** A sheet's name, typed in place, what kind it is, and its removal. */
export function SheetName({ sheet, children }: { readonly sheet: Sheet; readonly children: ReactNode }) {
  const { attendant, edit, names, store } = useDraft();
  const navigate = useNavigate();
  const [typed, setTyped] = useState<string | null>(null);

  const rename = (name: string): void => {
    setTyped(name);
    if (name.trim()) edit({ type: 'renameSheet', sheetId: sheet.id, name: name.trim() });
  };

  const remove = (): void => {
    const uses = usesOf(attendant, sheet.id);
    if (uses.length > 0) {
      const places = uses.map((use) => describeSlot(use.slot, attendant, names)).join(', ');
      return tellProblem(`${sheet.name} is still used by ${places}. Lead callers elsewhere there first.`);
    }
    edit({ type: 'removeSheet', sheetId: sheet.id });
    tellDone(`${sheet.name} was removed.`, store.undo);
    void navigate('/script');
  };

  return (
    <Flex align="center" gap="2" wrap="wrap">
      <Input
        aria-label={sheet.type === 'menu' ? 'Name of the menu' : 'Name of the announcement'}
        value={typed ?? sheet.name}
        maxLength={longestSheetName}
        onChange={(event) => rename(event.currentTarget.value)}
        onBlur={() => setTyped(null)}
        fontSize="20px"
        fontWeight="600"
        h="9"
        px="2"
        ml="-2"
        w="auto"
        minW="160px"
        maxW="100%"
        css={{ fieldSizing: 'content' }}
        borderColor="transparent"
        bg="transparent"
        _hover={{ borderColor: 'hairline' }}
      />
      <Text color="quiet" fontSize="13px" mr="auto">
        {sheet.type === 'menu' ? 'Menu' : 'Announcement: no keys while it is said'}
      </Text>
      {children}
      <IconButton
        size="sm"
        variant="ghost"
        aria-label={`Remove ${sheet.name}`}
        title={`Remove ${sheet.name}`}
        onClick={remove}
      >
        <Trash2 size={15} />
      </IconButton>
    </Flex>
  );
}
