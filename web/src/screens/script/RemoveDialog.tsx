import { Box, Button, CloseButton, Dialog, Portal, Text } from '@chakra-ui/react';
import { usesOf, type Edit, type ReferredId } from '@locutor/core/line';
import { useState } from 'react';
import type { Switch } from '@locutor/core/hours';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone } from '../../parts/notices';
import { usesInWords } from '../directory/usesInWords';

interface Props {
  readonly id: ReferredId;
  readonly name: string;
  /** What callers can be led to instead. */
  readonly others: readonly { readonly id: ReferredId; readonly name: string }[];
  readonly removal: Edit;
  readonly onClose: () => void;
  readonly onRemoved: () => void;
}

/** Before something that is used is removed: where it is used, and what is to be put there. */
export function RemoveDialog({ id, name, others, removal, onClose, onRemoved }: Props) {
  const { attendant, names, edit, store, switched } = useDraft();
  const uses = usesOf(attendant, id);
  const isSwitched = leadsThere(switched, id);
  const [to, setTo] = useState('');
  const remove = (edits: readonly Edit[], says: string): void => {
    onClose();
    edit({ type: 'together', edits: [...edits, removal], why: `remove ${name}` });
    tellDone(says, store.undo);
    onRemoved();
  };
  const other = others.find((each) => each.id === to);
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>{name} is still used</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              {uses.length > 0 && <Text>Used in {usesInWords(uses, attendant, names)}.</Text>}
              {isSwitched && (
                <Text mt={uses.length > 0 ? '2' : undefined}>
                  The switch leads to it now. Until the switch ends, a version without it goes on air only with a yes.
                </Text>
              )}
              {others.length > 0 && (
                <Box mt="3" lineHeight="1.9">
                  Put{' '}
                  <InlineSelect
                    label="What is put in its place"
                    value={to}
                    choices={others.map((each) => ({ value: each.id, label: each.name }))}
                    onChange={setTo}
                  />{' '}
                  there, everywhere.
                </Box>
              )}
            </Dialog.Body>
            <Dialog.Footer>
              <Button
                variant="outline"
                onClick={() =>
                  remove([], `${name} was removed${uses.length > 0 ? '; the steps to it are marked as faults' : ''}.`)
                }
              >
                Remove it only
              </Button>
              {others.length > 0 && (
                <Button
                  colorPalette="petrol"
                  disabled={!other}
                  onClick={() =>
                    other &&
                    remove(
                      [{ type: 'replaceEverywhere', from: id, to: other.id }],
                      `${name} was removed and replaced by ${other.name}.`,
                    )
                  }
                >
                  Replace and remove
                </Button>
              )}
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

/** Whether the switch is on and leads to a sheet. */
export function leadsThere(switched: Pick<Switch, 'to'> | null, id: ReferredId): boolean {
  return switched?.to.type === 'sheet' && switched.to.sheetId === id;
}
