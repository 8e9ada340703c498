import { IconButton, Menu, Portal } from '@chakra-ui/react';
import { copyOfSheet, findSheet, sheetId as sheetIds, usesOf, type Attendant, type Sheet } from '@locutor/core/line';
import { EllipsisVertical } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { putOnClipboard } from '../../path/clipboard';
import { RemoveDialog } from './RemoveDialog';

/** What can be done with a whole sheet. */
export function SheetMenu({ sheet }: { readonly sheet: Sheet }) {
  const { attendant, edit, store } = useDraft();
  const navigate = useNavigate();
  const [isRemoving, setRemoving] = useState(false);
  const index = attendant.sheets.indexOf(sheet);
  const duplicate = (): void => {
    const id = newId(sheetIds);
    edit({ type: 'addSheet', sheet: copyOfSheet(sheet, id, freeName(attendant, sheet.name)), atIndex: index + 1 });
    void navigate(`/script/${id}`);
  };
  const takeAway = (): void => {
    edit({ type: 'removeSheet', sheetId: sheet.id });
    tellDone(`${sheet.name} was removed.`, store.undo);
    void navigate('/script');
  };
  const cut = (): void => {
    putOnClipboard({ type: 'sheet', sheet });
    takeAway();
  };
  const remove = (): void => (usesOf(attendant, sheet.id).length > 0 ? setRemoving(true) : takeAway());
  const move = (toIndex: number) => edit({ type: 'moveSheet', sheetId: sheet.id, toIndex });
  return (
    <>
      <Menu.Root lazyMount unmountOnExit>
        <Menu.Trigger asChild>
          <IconButton size="sm" variant="ghost" aria-label={`More for ${sheet.name}`} title="More">
            <EllipsisVertical size={15} />
          </IconButton>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content minW="220px">
              <Menu.Item value="duplicate" onSelect={duplicate}>
                Duplicate
              </Menu.Item>
              <Menu.Item value="copy" onSelect={() => putOnClipboard({ type: 'sheet', sheet })}>
                Copy
              </Menu.Item>
              <Menu.Item value="cut" onSelect={cut}>
                Cut
              </Menu.Item>
              <Menu.Separator />
              <Menu.Item value="up" disabled={index === 0} onSelect={() => move(index - 1)}>
                Move up in the outline
              </Menu.Item>
              <Menu.Item value="down" disabled={index === attendant.sheets.length - 1} onSelect={() => move(index + 1)}>
                Move down in the outline
              </Menu.Item>
              <Menu.Separator />
              <Menu.Item value="remove" onSelect={remove}>
                Remove {sheet.name}
              </Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {isRemoving && (
        <RemoveDialog
          id={sheet.id}
          name={sheet.name}
          others={attendant.sheets.filter((each) => each !== sheet)}
          removal={{ type: 'removeSheet', sheetId: sheet.id }}
          onClose={() => setRemoving(false)}
          onRemoved={() => void navigate('/script')}
        />
      )}
    </>
  );
}

/** A name that no sheet has yet: "Welcome 2". */
export function freeName(attendant: Attendant, name: string): string {
  const base = name.replace(/ \d+$/, '');
  let number = 2;
  while (attendant.sheets.some((sheet) => sheet.name === `${base} ${number}`)) number += 1;
  return `${base} ${number}`;
}

/** A sheet from the clipboard as it can be added: under its own id if that is free, else as a copy. */
export function pastedSheet(attendant: Attendant, sheet: Sheet): Sheet {
  if (!findSheet(attendant, sheet.id)) return sheet;
  return copyOfSheet(sheet, newId(sheetIds), freeName(attendant, sheet.name));
}
