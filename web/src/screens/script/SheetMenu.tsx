import { IconButton, Menu, Portal } from '@chakra-ui/react';
import {
  copyOfSheet,
  findSheet,
  sheetId as sheetIds,
  usesOf,
  type Attendant,
  type Sheet,
  type SheetId,
} from '@locutor/core/line';
import { EllipsisVertical } from 'lucide-react';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useDraftTools } from '../../draft/DraftProvider';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { putOnClipboard } from '../../path/clipboard';
import { leadsThere, RemoveDialog } from './RemoveDialog';
import { freeName } from './freeName';

/** What can be done with a whole sheet. */
export const SheetMenu = memo(function SheetMenu({ id, name }: { readonly id: SheetId; readonly name: string }) {
  const { edit, store, switched } = useDraftTools();
  const navigate = useNavigate();
  const [isRemoving, setRemoving] = useState(false);
  // The sheet itself changes with every letter typed in it; what is asked here is looked up when it is wanted.
  const now = () => {
    const { sheets, ...attendant } = store.getSnapshot().history.present;
    const index = sheets.findIndex((each) => each.id === id);
    return { attendant: { ...attendant, sheets }, index, sheet: sheets[index] };
  };
  const duplicate = (): void => {
    const { attendant, index, sheet } = now();
    const copyId = newId(sheetIds);
    if (!sheet) return;
    edit({
      type: 'addSheet',
      sheet: copyOfSheet(sheet, copyId, freeName(namesOf(attendant), name)),
      atIndex: index + 1,
    });
    void navigate(`/script/${copyId}`);
  };
  const copy = (): void => {
    const { sheet } = now();
    if (sheet) putOnClipboard({ type: 'sheet', sheet });
  };
  const takeAway = (): void => {
    edit({ type: 'removeSheet', sheetId: id });
    tellDone(`${name} was removed.`, store.undo);
    void navigate('/script');
  };
  const cut = (): void => {
    copy();
    takeAway();
  };
  const remove = (): void => {
    const isNeeded = usesOf(now().attendant, id).length > 0 || leadsThere(switched, id);
    if (isNeeded) setRemoving(true);
    else takeAway();
  };
  const move = (by: 1 | -1) => edit({ type: 'moveSheet', sheetId: id, toIndex: now().index + by });
  return (
    <>
      <Menu.Root lazyMount unmountOnExit>
        <Menu.Trigger asChild>
          <IconButton size="sm" variant="ghost" aria-label={`More for ${name}`} title="More">
            <EllipsisVertical size={15} />
          </IconButton>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content minW="220px">
              <Menu.Item value="duplicate" onSelect={duplicate}>
                Duplicate
              </Menu.Item>
              <Menu.Item value="copy" onSelect={copy}>
                Copy
              </Menu.Item>
              <Menu.Item value="cut" onSelect={cut}>
                Cut
              </Menu.Item>
              <Menu.Separator />
              <Menu.Item value="up" onSelect={() => move(-1)}>
                Move up in the outline
              </Menu.Item>
              <Menu.Item value="down" onSelect={() => move(1)}>
                Move down in the outline
              </Menu.Item>
              <Menu.Separator />
              <Menu.Item value="remove" onSelect={remove}>
                Remove {name}
              </Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {isRemoving && (
        <RemoveDialog
          id={id}
          name={name}
          others={now().attendant.sheets.filter((each) => each.id !== id)}
          removal={{ type: 'removeSheet', sheetId: id }}
          onClose={() => setRemoving(false)}
          onRemoved={() => void navigate('/script')}
        />
      )}
    </>
  );
});

const namesOf = ({ sheets }: Attendant): readonly string[] => sheets.map(({ name }) => name);

/** A sheet from the clipboard as it can be added: under its own id if that is free, else as a copy. */
export function pastedSheet(attendant: Attendant, sheet: Sheet): Sheet {
  if (!findSheet(attendant, sheet.id)) return sheet;
  return copyOfSheet(sheet, newId(sheetIds), freeName(namesOf(attendant), sheet.name));
}
