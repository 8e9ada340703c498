import { Box, Button, CloseButton, Dialog, Portal, Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { useSWRConfig } from 'swr';
import { api, ApiProblem, wordsOf } from '../../api/client';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone, tellProblem } from '../../parts/notices';
import { useRemoveRow } from '../../parts/useRemoveRow';

interface Row {
  readonly id: string;
  readonly name: string;
}

interface Leave {
  /** Deletes a row; where it is used, asks first what is to be put in its place. */
  readonly ask: (row: Row) => Promise<void>;
  readonly dialog: ReactNode;
}

/** Lets a colleague leave, a box be closed or a contact go: replaced everywhere in one step. */
export function useLeave(list: string): Leave {
  const [asking, setAsking] = useState<{ row: Row; uses: readonly string[]; others: readonly Row[] } | null>(null);
  const remove = useRemoveRow(list);
  const ask = async (row: Row): Promise<void> => {
    try {
      const [uses, all] = await Promise.all([api<readonly string[]>(`/api/uses/${row.id}`), api<readonly Row[]>(list)]);
      if (uses.length === 0) await remove(row);
      else setAsking({ row, uses, others: all.filter(({ id }) => id !== row.id) });
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const dialog = asking && <ReplaceDialog list={list} {...asking} onClose={() => setAsking(null)} />;
  return { ask, dialog };
}

interface DialogProps {
  readonly list: string;
  readonly row: Row;
  readonly uses: readonly string[];
  readonly others: readonly Row[];
  readonly onClose: () => void;
}

function ReplaceDialog({ list, row, uses, others, onClose }: DialogProps) {
  const { store } = useDraftTools();
  const { mutate } = useSWRConfig();
  const [to, setTo] = useState('');
  const replace = async (): Promise<void> => {
    try {
      await store.saveNow();
      const body = { from: row.id, to };
      const { left } = await api<{ left: readonly string[] }>('/api/replacements', { method: 'POST', body });
      await store.reload(`replace ${row.name}`);
      await Promise.all(['/api/boxes', '/api/groups', '/api/queues', list].map((each) => mutate(each)));
      await goIfUnused(left);
    } catch (error) {
      tellProblem(error instanceof ApiProblem ? error.detail : wordsOf(error));
    }
    onClose();
  };
  const goIfUnused = async (left: readonly string[]): Promise<void> => {
    if (left.length > 0) {
      return tellDone(`${row.name} was replaced everywhere, and can be deleted once the drafts are on air.`);
    }
    await api(`${list}/${row.id}`, { method: 'DELETE' });
    await mutate(list);
    tellDone(`${row.name} was replaced everywhere and deleted.`);
  };
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>{row.name} is still used</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Box as="ul" pl="5" listStyleType="disc" maxH="240px" overflow="auto">
                {uses.map((use, index) => (
                  <li key={index}>{use}</li>
                ))}
              </Box>
              {others.length > 0 ? (
                <Text mt="3" lineHeight="1.9">
                  Put{' '}
                  <InlineSelect
                    label="Who or what is put there"
                    value={to}
                    choices={others.map(({ id, name }) => ({ value: id, label: name }))}
                    onChange={setTo}
                  />{' '}
                  there, on every line, in every group, queue and box.
                </Text>
              ) : (
                <Text mt="3">There is nothing else to put there. Add it first.</Text>
              )}
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="outline" onClick={onClose}>
                Leave it
              </Button>
              <Button colorPalette="petrol" disabled={to === ''} onClick={() => void replace()}>
                Replace everywhere
              </Button>
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
