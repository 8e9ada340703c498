import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  describeEdit,
  findNamedPath,
  findSheet,
  languageOf,
  namedPathId,
  newAnnouncement,
  newMenu,
  sheetId as sheetIds,
  type NamedPathId,
  type Sheet,
  type SheetId,
} from '@locutor/core/line';
import { ChartGantt, Redo2, Undo2, X } from 'lucide-react';
import { memo, useCallback, useEffect } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useHandsetDock } from '../../app/handsetDock';
import { useAttendantPart, useDraft, useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { newId } from '../../parts/newId';
import { clipNow } from '../../path/clipboard';
import { sheetChoicesOf } from '../../path/sheetChoices';
import { StepDragArea } from '../../path/StepDragArea';
import { AnnouncementSheet } from './AnnouncementSheet';
import { MenuSheet } from './MenuSheet';
import { NamedPathSheet } from './NamedPathSheet';
import { Outline } from './Outline';
import { pastedSheet } from './SheetMenu';
import { freeName } from './freeName';

/** The attendant as a document: its outline, and the sheet being written, alone or beside another. */
export default function Script() {
  const params = useParams();
  const [search] = useSearchParams();
  const path = useAttendantPart((attendant) => findNamedPath(attendant, params.sheetId as NamedPathId));
  const named = useAttendantPart((attendant) => findSheet(attendant, params.sheetId as SheetId) ?? attendant.sheets[0]);
  const sheet = path ? undefined : named;
  const beside = useAttendantPart((attendant) => findSheet(attendant, search.get('beside') as SheetId));
  const count = useAttendantPart(({ sheets }) => sheets.length);
  const add = useAdd();
  const dock = useHandsetDock();
  const isTight = beside !== undefined && window.innerWidth < 1600;
  useEffect(() => {
    // Two sheets need the room.
    if (isTight) dock.setOpen(false);
    // Only when a second sheet comes: the handset may be opened again beside it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isTight]);
  return (
    <Flex h="100%" direction={{ base: 'column', md: 'row' }}>
      <Box asChild srOnly>
        <h1>Script</h1>
      </Box>
      <Outline current={path?.id ?? sheet?.id} onAdd={add} />
      <Flex direction="column" flex="1" minW="0" minH="0" bg="sheet">
        <Flex justify="flex-end" align="center" px="4" pt="2" gap="1" minH="10" flexShrink="0" wrap="wrap">
          {sheet && count > 1 && <Beside sheetId={sheet.id} besideId={beside?.id} />}
          <Button asChild size="xs" variant="ghost">
            <Link to="/time-map">
              <ChartGantt size={14} aria-hidden /> Time map
            </Link>
          </Button>
          <HistoryButtons />
        </Flex>
        <StepDragArea>
          <Flex flex="1" minH="0">
            <Box flex="1" minW="0" overflow="auto" css={sheetContainer}>
              {path && <NamedPathSheet key={path.id} path={path} />}
              {sheet && <SheetBody key={sheet.id} sheet={sheet} listens />}
              {!path && !sheet && <NoSheets onAdd={() => add('menu')} />}
            </Box>
            {beside && sheet && beside !== sheet && (
              <Box flex="1" minW="0" overflow="auto" borderLeftWidth="1px" borderColor="hairline" css={sheetContainer}>
                <SheetBody key={beside.id} sheet={beside} listens={false} />
              </Box>
            )}
          </Flex>
        </StepDragArea>
      </Flex>
    </Flex>
  );
}

/** Sheets lay themselves out by the room they have, not by the window's. */
const sheetContainer = { containerType: 'inline-size', containerName: 'sheet' };

function SheetBody({ sheet, listens }: { readonly sheet: Sheet; readonly listens: boolean }) {
  return sheet.type === 'menu' ? (
    <MenuSheet menu={sheet} listens={listens} />
  ) : (
    <AnnouncementSheet announcement={sheet} />
  );
}

type Added = 'menu' | 'announcement' | 'path' | 'paste';

/** Adds to the script and goes there. */
function useAdd(): (type: Added) => void {
  const { store, edit } = useDraftTools();
  const navigate = useNavigate();
  return useCallback(
    (type) => {
      const addSheet = (sheet: Sheet): void => {
        edit({ type: 'addSheet', sheet });
        void navigate(`/script/${sheet.id}`);
      };
      const now = store.getSnapshot().history.present;
      const sheetNames = now.sheets.map(({ name }) => name);
      switch (type) {
        case 'menu':
          return addSheet(newMenu(newId(sheetIds), freeName(sheetNames, 'New menu'), languageOf(now.voice)));
        case 'announcement':
          return addSheet(newAnnouncement(newId(sheetIds), freeName(sheetNames, 'New announcement')));
        case 'path': {
          const id = newId(namedPathId);
          const name = freeName(
            now.paths.map((path) => path.name),
            'New path',
          );
          edit({ type: 'addNamedPath', path: { id, name, steps: [] } });
          return void navigate(`/script/${id}`);
        }
        case 'paste': {
          const clip = clipNow();
          return clip?.type === 'sheet' ? addSheet(pastedSheet(now, clip.sheet)) : undefined;
        }
      }
    },
    [store, edit, navigate],
  );
}

/** Puts another sheet beside this one, such as after hours beside open. */
const Beside = memo(function Beside({ sheetId, besideId }: { sheetId: SheetId; besideId: SheetId | undefined }) {
  const sheets = useAttendantPart(sheetChoicesOf);
  const navigate = useNavigate();
  // Named whole: a sheet that was just opened may not be the address yet.
  const put = (id: string): void => {
    void navigate(`/script/${sheetId}${id ? `?beside=${id}` : ''}`, { replace: true });
  };
  const others = sheets.filter(({ value }) => value !== sheetId);
  return (
    <Flex align="center" mr="auto" fontSize="13px" color="quiet" gap="1" display={{ base: 'none', md: 'flex' }}>
      Beside it:
      <InlineSelect
        label="Which sheet is beside this one"
        value={besideId ?? 'none'}
        choices={[{ value: 'none', label: 'no other sheet' }, ...others]}
        onChange={(id) => put(id === 'none' ? '' : id)}
      />
      {besideId && (
        <Button size="2xs" variant="ghost" px="1" aria-label="Put the other sheet away" onClick={() => put('')}>
          <X size={13} />
        </Button>
      )}
    </Flex>
  );
});

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
        minW="0"
        flexShrink="1"
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
      <Flex mt="4" gap="2">
        <Button colorPalette="petrol" onClick={onAdd}>
          Write a menu
        </Button>
        <Button asChild variant="outline">
          <Link to="/starters">Begin from a starter</Link>
        </Button>
      </Flex>
    </Box>
  );
}
