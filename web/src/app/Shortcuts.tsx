import { Button, CloseButton, Dialog, Portal, Table } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { isInText, isTyping } from '../parts/isTyping';
import { tellDone } from '../parts/notices';
import { useSavers } from '../saving/savers';
import { useHandsetDock } from './handsetDock';
import { screens } from './Navigation';
import { undoKindsAt } from './undoKinds';
import { useKeyDown } from '../parts/useKeyDown';

const listed = [
  ['h', 'Open or close the handset'],
  ['g, then t s p h g d l m', 'Go to Today, Script, Time map, Hours, Greetings, Directory, Rehearsals, Messages'],
  ['/', 'Find anything'],
  ['1 … 9 * 0 #', 'On a sheet: go to that key. In a call: press it'],
  ['Alt+↑, Alt+↓', 'In a step: move it. In a key’s row: read it out earlier or later'],
  ['Ctrl+X, C, V, D, Del', 'On a step’s ⋮: cut, copy, paste after, duplicate, remove'],
  ['+ − 0, arrows, Enter', 'On the time map: zoom, fit, go through the ways, open one'],
  [
    'Ctrl+Z, Ctrl+Shift+Z',
    'Undo, redo: in a text field what was typed there, elsewhere what was changed on the screen',
  ],
  ['?', 'This list'],
] as const;

/** Shortcuts of the whole application, and the list of them under `?`. */
export function Shortcuts() {
  const [isOpen, setOpen] = useState(false);
  const goes = useRef(false);
  const navigate = useNavigate();
  const savers = useSavers();
  const { pathname } = useLocation();
  const dock = useHandsetDock();

  useKeyDown((event) => {
    if (event.defaultPrevented) return;
    const key = event.key.toLowerCase();
    const isUndo = (event.ctrlKey || event.metaKey) && key === 'z' && !event.shiftKey;
    const isRedo = (event.ctrlKey || event.metaKey) && (key === 'y' || (key === 'z' && event.shiftKey));
    if (isUndo || isRedo) {
      if (isInText(event.target)) return;
      event.preventDefault();
      const kinds = undoKindsAt(pathname);
      const done = isUndo ? savers.undo(kinds) : savers.redo(kinds);
      if (done !== null) tellDone(`${isUndo ? 'Undone' : 'Done again'}: ${done}.`);
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    const screen = goes.current && screens.find(({ letter }) => letter === key);
    goes.current = key === 'g' && !screen;
    if (screen) void navigate(screen.to);
    else if (key === 'h') dock.setOpen(!dock.isOpen);
    else if (key === '?') setOpen(true);
  });

  return (
    <Dialog.Root open={isOpen} onOpenChange={({ open }) => setOpen(open)}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>Keyboard shortcuts</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Table.Root size="sm">
                <Table.Body>
                  {listed.map(([keys, what]) => (
                    <Table.Row key={keys} bg="transparent">
                      <Table.Cell fontFamily="mono">{keys}</Table.Cell>
                      <Table.Cell>{what}</Table.Cell>
                    </Table.Row>
                  ))}
                </Table.Body>
              </Table.Root>
            </Dialog.Body>
            <Dialog.Footer>
              <Button onClick={() => setOpen(false)}>Close</Button>
            </Dialog.Footer>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
