import { Box, Button, CloseButton, Dialog, Flex, Portal, Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone, tellProblem } from '../../parts/notices';
import { askedFirst } from '../../saving/askedFirst';
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

/** Lets a colleague leave, a box be closed or a contact go: replaced everywhere, or taken out, in one step. */
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
  const dialog = asking && <LeaveDialog list={list} {...asking} onClose={() => setAsking(null)} />;
  return { ask, dialog };
}

interface DialogProps {
  readonly list: string;
  readonly row: Row;
  readonly uses: readonly string[];
  readonly others: readonly Row[];
  readonly onClose: () => void;
}

/** What a replacement would do, as the server knows it. */
interface Plan {
  readonly replaced: readonly string[];
  readonly left: readonly string[];
  readonly messages: number;
}

type How = 'replace' | 'takeOut';

/** Asks who or what is put in the place of something, or, of a person, whether they are only taken out; and says what happens then. */
function LeaveDialog({ list, row, uses, others, onClose }: DialogProps) {
  const leave = useReplacement(list, row);
  const isPerson = row.id.startsWith('person:');
  const [how, setHow] = useState<How>('replace');
  const [chosen, setChosen] = useState('');
  const to = how === 'takeOut' ? null : chosen;
  const { data: plan } = useSWR<Plan>(to === '' ? null : ['/api/replacements/plan', row.id, to], () =>
    api('/api/replacements/plan', { method: 'POST', body: { from: row.id, to } }),
  );
  const put = (
    <>
      Put{' '}
      <InlineSelect
        label="Who or what is put there"
        value={chosen}
        toChoose={isPerson ? 'whom?' : 'which?'}
        choices={others.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(value) => {
          setHow('replace');
          setChosen(value);
        }}
      />{' '}
      there, on every line, in every group, queue and box
    </>
  );
  const canGo = plan !== undefined && plan.left.length === 0;
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
              {isPerson ? (
                <Box role="radiogroup" aria-label={`What becomes of ${row.name}`} lineHeight="1.9">
                  <Way is={how === 'replace'} onChoose={() => setHow('replace')}>
                    {put}
                  </Way>
                  <Way is={how === 'takeOut'} onChoose={() => setHow('takeOut')}>
                    Only take them out of groups, queues, boxes and lists of who is told
                  </Way>
                </Box>
              ) : others.length > 0 ? (
                <Text lineHeight="1.9">{put}.</Text>
              ) : (
                <Text>There is nothing else to put there. Add it first.</Text>
              )}
              {plan ? <WhatHappens plan={plan} row={row} isReplaced={to !== null} /> : <Uses of={uses} />}
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="outline" onClick={onClose}>
                Cancel
              </Button>
              <Button colorPalette="petrol" disabled={!plan} onClick={() => void leave(to).then(onClose)}>
                {(to === null ? 'Take out' : 'Replace') + (canGo ? ' and delete' : '')}
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

/** Replaces or takes out, and deletes where nothing needs it any more; all of it can be taken back. */
function useReplacement(list: string, row: Row): (to: string | null) => Promise<void> {
  const { store } = useDraftTools();
  const { mutate } = useSWRConfig();
  const readAgain = async (why: string): Promise<void> => {
    await store.reload(why);
    const lists = ['/api/boxes', '/api/groups', '/api/queues', '/api/lines', '/api/messages', list];
    await Promise.all(lists.map((each) => mutate(each)));
  };
  const undo = async (id: string): Promise<void> => {
    try {
      const path = `/api/replacements/${id}/undo`;
      const { changedSince } = await api<{ changedSince: number }>(path, { method: 'POST' });
      await readAgain(`bring ${row.name} back`);
      if (changedSince > 0) tellDone(`${row.name} is back, but not where something was changed since.`);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return async (to) => {
    try {
      await store.saveNow();
      const body = { from: row.id, to, remove: true };
      const done = await askedFirst<Plan & { id: string; removed: boolean }>('/api/replacements', {
        method: 'POST',
        body,
      });
      await readAgain(`${to === null ? 'take out' : 'replace'} ${row.name}`);
      tellDone(inWords(row, to, done), () => void undo(done.id));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
}

function inWords({ name }: Row, to: string | null, { removed, left }: Plan & { readonly removed: boolean }): string {
  const was = to === null ? 'taken out' : 'replaced';
  if (removed) return `${name} was ${was} and deleted.`;
  const isOnAir = left.every((use) => use.includes('on air'));
  return isOnAir
    ? `${name} was ${was}, and can be deleted once the drafts are on air.`
    : `${name} was ${was}, and is still used in the script.`;
}

function WhatHappens({ plan, row, isReplaced }: { plan: Plan; row: Row; isReplaced: boolean }) {
  const { replaced, left, messages } = plan;
  return (
    <Box aria-live="polite">
      {replaced.length > 0 && (
        <>
          <Text mt="3" fontWeight="600">
            {isReplaced ? 'Replaced' : 'Taken out'}
          </Text>
          <Uses of={replaced} />
        </>
      )}
      {messages > 0 && (
        <Text mt="2">{messages === 1 ? 'The message in it goes' : `The ${messages} messages in it go`} there too.</Text>
      )}
      {left.length > 0 && (
        <>
          <Text mt="3" fontWeight="600">
            Stays as it is
          </Text>
          <Uses of={left} />
        </>
      )}
      <Text mt="3">
        {left.length === 0
          ? `Then ${row.name} is deleted. All of it can be undone.`
          : `${row.name} can be deleted once nothing of that is so any more.`}
      </Text>
    </Box>
  );
}

function Uses({ of }: { readonly of: readonly string[] }) {
  return (
    <Box as="ul" pl="5" mt="1" listStyleType="disc" maxH="200px" overflow="auto" tabIndex={0}>
      {of.map((use, index) => (
        <li key={index}>{use}</li>
      ))}
    </Box>
  );
}

function Way({ is, onChoose, children }: { is: boolean; onChoose: () => void; children: ReactNode }) {
  return (
    <Flex asChild gap="2" align="baseline">
      <label>
        <input type="radio" name="leaves" checked={is} onChange={onChoose} />
        <span>{children}</span>
      </label>
    </Flex>
  );
}
