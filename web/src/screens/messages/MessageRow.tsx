import { Box, Button, Flex, IconButton, Menu, Portal, Text } from '@chakra-ui/react';
import { showPhoneNumber } from '@locutor/core/directory';
import { Download, Forward, RotateCcw, Trash2 } from 'lucide-react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { audioUrl, useBoxes, usePeople, type Message } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { tellDone, tellProblem } from '../../parts/notices';
import { SoundPlayer } from '../../parts/SoundPlayer';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';

const list = '/api/messages';

interface Props {
  readonly message: Message;
  readonly isDeleted: boolean;
}

export function MessageRow({ message, isDeleted }: Props) {
  const { line, names } = useDraftTools();
  const ask = useAsk();
  const now = useNow(60_000);
  const caller = message.callerNumber === 'anonymous' ? 'Anonymous' : showPhoneNumber(message.callerNumber);
  const box = names[message.boxId] ?? 'a deleted box';
  const path = `${list}/${message.id}`;
  const mark = (heard: boolean) => ask(path, 'PATCH', { heard });
  const restore = () => ask(`${path}/restore`, 'POST');
  const remove = async (): Promise<void> => {
    if (await ask(path, 'DELETE')) tellDone(`The message from ${caller} was deleted.`, () => void restore());
  };
  return (
    <Flex
      as="li"
      columnGap="3"
      rowGap="1"
      py="2"
      align="center"
      wrap="wrap"
      borderTopWidth="1px"
      borderColor="hairline"
      aria-label={`Message from ${caller}`}
    >
      <Box flex="1 1 190px">
        <Text fontFamily="mono" fontSize="13.5px" fontWeight={message.heard ? 400 : 500}>
          {caller}
        </Text>
        <Text fontSize="13px" color="quiet">
          for <b>{box}</b>, {showWhen(message.leftAt, line.timeZone, now)}
          {message.trial && ', in a trial of the draft'}
          {message.silent && (
            <>
              . <b>Nobody spoke</b>, so nobody was told
            </>
          )}
        </Text>
        {message.words !== '' && (
          <Text fontFamily="spoken" fontSize="16px" lineHeight="1.35">
            {message.words}
          </Text>
        )}
      </Box>
      <SoundPlayer
        audioId={message.audioId}
        lengthMs={message.lengthMs}
        label={`the message from ${caller}`}
        onPlayed={() => !message.heard && !isDeleted && void mark(true)}
      />
      {isDeleted ? (
        <Button size="xs" variant="outline" bg="sheet" onClick={() => void restore()}>
          <RotateCcw size={13} aria-hidden /> Restore
        </Button>
      ) : (
        <Flex align="center">
          <Button
            size="xs"
            variant={message.heard ? 'ghost' : 'subtle'}
            w="104px"
            aria-pressed={message.heard}
            title={message.heard ? 'Mark as not heard' : 'Mark as heard'}
            onClick={() => void mark(!message.heard)}
          >
            {message.heard ? 'Heard' : 'Not heard yet'}
          </Button>
          <ForwardMenu message={message} caller={caller} />
          <IconButton asChild size="xs" variant="ghost" aria-label={`Save the message from ${caller}`} title="Save">
            <a href={audioUrl(message.audioId)} download="message.wav">
              <Download size={14} />
            </a>
          </IconButton>
          <IconButton
            size="xs"
            variant="ghost"
            aria-label={`Delete the message from ${caller}`}
            title="Delete"
            onClick={() => void remove()}
          >
            <Trash2 size={14} />
          </IconButton>
        </Flex>
      )}
    </Flex>
  );
}

function ForwardMenu({ message, caller }: { readonly message: Message; readonly caller: string }) {
  const boxes = useBoxes().filter(({ id }) => id !== message.boxId);
  const people = usePeople().filter(({ email }) => email !== '');
  const ask = useAsk();
  const forward = async (to: { boxId?: string; personId?: string }, name: string): Promise<void> => {
    if (await ask(`${list}/${message.id}/forward`, 'POST', to)) tellDone(`The message was sent to ${name}.`);
  };
  return (
    <Menu.Root>
      <Menu.Trigger asChild>
        <IconButton size="xs" variant="ghost" aria-label={`Forward the message from ${caller}`} title="Forward">
          <Forward size={14} />
        </IconButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content maxH="320px" overflow="auto">
            {boxes.map(({ id, name }) => (
              <Menu.Item key={id} value={id} onSelect={() => void forward({ boxId: id }, name)}>
                To the box {name}
              </Menu.Item>
            ))}
            <Menu.Separator />
            {people.map(({ id, name }) => (
              <Menu.Item key={id} value={id} onSelect={() => void forward({ personId: id }, name)}>
                By e-mail to {name}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

/** Asks for a change to a message; tells whether it was made. */
function useAsk(): (path: string, method: string, body?: unknown) => Promise<boolean> {
  const { mutate } = useSWRConfig();
  return async (path, method, body) => {
    try {
      await api(path, { method, body });
      await Promise.all([mutate(list), mutate(`${list}?deleted=true`)]);
      return true;
    } catch (error) {
      tellProblem(wordsOf(error));
      return false;
    }
  };
}
