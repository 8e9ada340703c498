import { Box, Dialog, Flex, Input, Portal, Text } from '@chakra-ui/react';
import { describeSlot, findSheet, folded, searchAttendant, sheetOfSlot, type Hit } from '@locutor/core/line';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useDirectory } from '../api/resources';
import { useDraft } from '../draft/DraftProvider';
import { isTyping } from '../parts/isTyping';
import { screens } from './Navigation';
import { useKeyDown } from '../parts/useKeyDown';

interface Found {
  readonly text: string;
  readonly where: string;
  readonly to: string;
  /** Words that callers hear are shown in their own face. */
  readonly isSpoken: boolean;
}

const mostFound = 40;

/** Finds anything by its name or words: `/` opens it, arrows choose, Enter goes there. */
export function Find() {
  const [isOpen, setOpen] = useState(false);
  useKeyDown((event) => {
    const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey && !isTyping(event.target);
    if (event.key !== '/' || !isPlain || event.defaultPrevented) return;
    event.preventDefault();
    setOpen(true);
  });
  return (
    <Dialog.Root open={isOpen} onOpenChange={({ open }) => setOpen(open)} lazyMount unmountOnExit placement="top">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content aria-label="Find anything" maxW="560px">
            <FindBody onDone={() => setOpen(false)} />
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

function FindBody({ onDone }: { readonly onDone: () => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const found = useFound(text);
  const at = Math.min(chosen, Math.max(0, found.length - 1));
  const go = (each: Found | undefined): void => {
    if (!each) return;
    onDone();
    void navigate(each.to);
  };
  return (
    <Dialog.Body p="3">
      <Input
        autoFocus
        aria-label="Find"
        placeholder="A name, a key, or words that callers hear"
        value={text}
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls="found"
        aria-activedescendant={found.length > 0 ? `found-${at}` : undefined}
        onChange={(event) => {
          setText(event.currentTarget.value);
          setChosen(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setChosen(Math.min(at + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setChosen(Math.max(at - 1, 0));
          else if (event.key === 'Enter') go(found[at]);
          else return;
          event.preventDefault();
        }}
      />
      <Box id="found" role="listbox" aria-label="What was found" mt="2" maxH="50dvh" overflow="auto">
        {found.map((each, index) => (
          <Flex
            key={`${each.to} ${index}`}
            id={`found-${index}`}
            role="option"
            aria-selected={index === at}
            px="2"
            py="1.5"
            gap="3"
            align="baseline"
            cursor="pointer"
            borderRadius="md"
            bg={index === at ? 'petrol.subtle' : undefined}
            onClick={() => go(each)}
          >
            <Text
              truncate
              flex="1"
              fontFamily={each.isSpoken ? 'spoken' : undefined}
              fontSize={each.isSpoken ? '16px' : undefined}
            >
              {each.text}
            </Text>
            <Text color="quiet" fontSize="13px" flexShrink="0" maxW="45%" truncate>
              {each.where}
            </Text>
          </Flex>
        ))}
      </Box>
      {text.trim() !== '' && found.length === 0 && <Text p="2">Nothing is called so, and nobody says it.</Text>}
    </Dialog.Body>
  );
}

/** Screens, everything in the script, and everything in the directory and the library. */
function useFound(text: string): readonly Found[] {
  const { attendant, names } = useDraft();
  const { people, boxes, contacts, callerLists, greetings } = useDirectory();
  return useMemo(() => {
    const wanted = folded(text);
    if (wanted === '') return [];
    const named = (items: readonly { readonly name: string }[], where: string, to: string): Found[] =>
      items.map(({ name }) => ({ text: name, where, to, isSpoken: false }));
    const entries: Found[] = [
      ...screens.map(({ name, to }) => ({ text: name, where: 'screen', to, isSpoken: false })),
      ...people.map(({ name, extension }) => ({
        text: `${name}, ${extension}`,
        where: 'person',
        to: '/directory/people',
        isSpoken: false,
      })),
      ...named(boxes, 'box', '/directory/boxes'),
      ...named(contacts, 'outside contact', '/directory/contacts'),
      ...named(callerLists, 'list of callers', '/directory/callers'),
      ...greetings.map(({ id, name }) => ({ text: name, where: 'greeting', to: `/greetings/${id}`, isSpoken: false })),
    ].filter((each) => folded(each.text).includes(wanted));
    const hits = searchAttendant(attendant, text).map((hit) => foundOf(hit));
    return [...hits, ...entries].slice(0, mostFound);

    function foundOf(hit: Hit): Found {
      const isSpoken = hit.type === 'words' || hit.type === 'step' || hit.type === 'option';
      const sheetName = (id: Parameters<typeof findSheet>[1]): string => findSheet(attendant, id)?.name ?? '';
      switch (hit.type) {
        case 'sheet':
          return { text: hit.text, where: 'sheet', to: `/script/${hit.sheetId}`, isSpoken };
        case 'path':
          return { text: hit.text, where: 'path', to: `/script/${hit.pathId}`, isSpoken };
        case 'option': {
          const to = `/script/${hit.sheetId}?key=${encodeURIComponent(hit.key)}`;
          return { text: hit.text, where: `key ${hit.key} of ${sheetName(hit.sheetId)}`, to, isSpoken };
        }
        case 'words':
          return { text: hit.text, where: sheetName(hit.sheetId), to: `/script/${hit.sheetId}`, isSpoken };
        case 'step': {
          const sheetId = sheetOfSlot(hit.slot);
          const named = hit.slot.type === 'named' ? `/script/${hit.slot.pathId}` : '/hours';
          const to = sheetId ? `/script/${sheetId}` : named;
          return { text: hit.text, where: describeSlot(hit.slot, attendant, names), to, isSpoken };
        }
      }
    }
  }, [text, attendant, names, people, boxes, contacts, callerLists, greetings]);
}
