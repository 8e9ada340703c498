import { Button, CloseButton, Dialog, Portal, Table } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useDraftTools } from '../draft/DraftProvider';
import { isTyping } from '../parts/isTyping';
import { useHandsetDock } from './handsetDock';
import { screens } from './Navigation';

const listed = [
  ['h', 'Open or close the handset'],
  ['g, then t s p h g d l m', 'Go to Today, Script, Time map, Hours, Greetings, Directory, Rehearsals, Messages'],
  ['/', 'Find anything'],
  ['1 … 9 * 0 #', 'On a sheet: go to that key. In a call: press it'],
  ['Alt+↑, Alt+↓', 'In a step: move it. In a key’s row: read it out earlier or later'],
  ['Ctrl+X, C, V, D, Del', 'On a step’s ⋮: cut, copy, paste after, duplicate, remove'],
  ['+ − 0, arrows, Enter', 'On the time map: zoom, fit, go through the ways, open one'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'Undo, redo'],
  ['?', 'This list'],
] as const;

/** Shortcuts of the whole application, and the list of them under `?`. */
export function Shortcuts() {
  const [isOpen, setOpen] = useState(false);
  const goes = useRef(false);
  const navigate = useNavigate();
  const { store } = useDraftTools();
  const dock = useHandsetDock();

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented) return;
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === 'z') {
        event.preventDefault();
        if (event.shiftKey) store.redo();
        else store.undo();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      const screen = goes.current && screens.find(({ letter }) => letter === key);
      goes.current = key === 'g' && !screen;
      if (screen) void navigate(screen.to);
      else if (key === 'h') dock.setOpen(!dock.isOpen);
      else if (key === '?') setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [store, dock, navigate]);

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
