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
import { memo, useCallback, useEffect, useSyncExternalStore } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useHandsetDock } from '../../app/handsetDock';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
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
  // By their ids alone: what changes with every letter is rendered by the sheet itself.
  const path = useAttendantPart((attendant) => findNamedPath(attendant, params.sheetId as NamedPathId)?.id);
  const named = useAttendantPart(
    (attendant) => (findSheet(attendant, params.sheetId as SheetId) ?? attendant.sheets[0])?.id,
  );
  const sheet = path ? undefined : named;
  const beside = useAttendantPart((attendant) => findSheet(attendant, search.get('beside') as SheetId)?.id);
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
      <Outline current={path ?? sheet} onAdd={add} />
      <Flex direction="column" flex="1" minW="0" minH="0" bg="sheet">
        <Flex justify="flex-end" align="center" px="4" pt="2" gap="1" minH="10" flexShrink="0" wrap="wrap">
          {sheet && count > 1 && <Beside sheetId={sheet} besideId={beside} />}
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
              {path && <NamedPathBody key={path} id={path} />}
              {sheet && <SheetBody key={sheet} id={sheet} listens />}
              {!path && !sheet && <NoSheets onAdd={() => add('menu')} />}
            </Box>
            {beside && sheet && beside !== sheet && (
              <Box flex="1" minW="0" overflow="auto" borderLeftWidth="1px" borderColor="hairline" css={sheetContainer}>
                <SheetBody key={beside} id={beside} listens={false} />
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

function NamedPathBody({ id }: { readonly id: NamedPathId }) {
  const path = useAttendantPart((attendant) => findNamedPath(attendant, id));
  return path && <NamedPathSheet path={path} />;
}

function SheetBody({ id, listens }: { readonly id: SheetId; readonly listens: boolean }) {
  const sheet = useAttendantPart((attendant) => findSheet(attendant, id));
  if (!sheet) return null;
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
  const { store } = useDraftTools();
  const last = useChangeInWords('done');
  const next = useChangeInWords('undone');
  return (
    <>
      <Button
        size="xs"
        variant="ghost"
        disabled={last === null}
        onClick={store.undo}
        title={last === null ? undefined : `Undo: ${last}`}
        maxW="220px"
        minW="0"
        flexShrink="1"
        aria-label={last === null ? 'Undo' : `Undo: ${last}`}
      >
        <Undo2 size={14} aria-hidden />{' '}
        <Text as="span" truncate>
          {last === null ? 'Undo' : `Undo: ${last}`}
        </Text>
      </Button>
      <Button
        size="xs"
        variant="ghost"
        disabled={next === null}
        onClick={store.redo}
        title={next === null ? undefined : `Redo: ${next}`}
        aria-label={next === null ? 'Redo' : `Redo: ${next}`}
      >
        <Redo2 size={14} aria-hidden /> Redo
      </Button>
    </>
  );
}

/** What would be undone or done again next; null for nothing. */
function useChangeInWords(of: 'done' | 'undone'): string | null {
  const { store, names } = useDraftTools();
  return useSyncExternalStore(store.subscribe, () => {
    const change = store.getSnapshot().history[of].at(-1);
    return change ? describeEdit(change.edit, change.before, names) : null;
  });
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
