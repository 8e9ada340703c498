import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  findSheet,
  newAnnouncement,
  newMenu,
  sheetId as sheetIds,
  describeEdit,
  type SheetId,
} from '@locutor/core/line';
import { Redo2, Undo2 } from 'lucide-react';
import { useNavigate, useParams } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { newId } from '../../parts/newId';
import { AnnouncementSheet } from './AnnouncementSheet';
import { MenuSheet } from './MenuSheet';
import { Outline } from './Outline';

/** The attendant as a document: its outline, and the sheet being written. */
export default function Script() {
  const { attendant, edit } = useDraft();
  const params = useParams();
  const navigate = useNavigate();
  const sheet = findSheet(attendant, params.sheetId as SheetId) ?? attendant.sheets[0];

  const add = (type: 'menu' | 'announcement'): void => {
    const id = newId(sheetIds);
    edit({
      type: 'addSheet',
      sheet: type === 'menu' ? newMenu(id, 'New menu') : newAnnouncement(id, 'New announcement'),
    });
    void navigate(`/script/${id}`);
  };

  return (
    <Flex h="100%" direction={{ base: 'column', md: 'row' }}>
      <Box asChild srOnly>
        <h1>Script</h1>
      </Box>
      <Outline current={sheet?.id} onAdd={add} />
      <Box flex="1" minW="0" overflow="auto" bg="sheet">
        <Flex justify="flex-end" px="4" pt="2" gap="1" minH="10">
          <HistoryButtons />
        </Flex>
        {!sheet && <NoSheets onAdd={() => add('menu')} />}
        {sheet?.type === 'menu' && <MenuSheet key={sheet.id} menu={sheet} />}
        {sheet?.type === 'announcement' && <AnnouncementSheet key={sheet.id} announcement={sheet} />}
      </Box>
    </Flex>
  );
}

function HistoryButtons() {
  const { history, names, store } = useDraft();
  const last = history.done.at(-1);
  const next = history.undone.at(-1);
  const undoes = last ? describeEdit(last.edit, last.before, names) : '';
  const redoes = next ? describeEdit(next.edit, next.before, names) : '';
  return (
    <>
      <Button
        size="xs"
        variant="ghost"
        disabled={!last}
        onClick={store.undo}
        title={last && `Undo: ${undoes}`}
        maxW="220px"
        aria-label={last ? `Undo: ${undoes}` : 'Undo'}
      >
        <Undo2 size={14} aria-hidden />{' '}
        <Text as="span" truncate>
          {last ? `Undo: ${undoes}` : 'Undo'}
        </Text>
      </Button>
      <Button
        size="xs"
        variant="ghost"
        disabled={!next}
        onClick={store.redo}
        title={next && `Redo: ${redoes}`}
        aria-label={next ? `Redo: ${redoes}` : 'Redo'}
      >
        <Redo2 size={14} aria-hidden /> Redo
      </Button>
    </>
  );
}

function NoSheets({ onAdd }: { readonly onAdd: () => void }) {
  return (
    <Box p="8" maxW="460px">
      <Text fontWeight="600">The script is empty.</Text>
      <Text mt="1">A menu says something and lets callers choose with a key. Start with the one that answers.</Text>
      <Button mt="4" colorPalette="petrol" onClick={onAdd}>
        Write a menu
      </Button>
    </Box>
  );
}
