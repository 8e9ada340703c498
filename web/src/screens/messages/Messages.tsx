import { Box, Button, Flex, IconButton, Text } from '@chakra-ui/react';
import { showPhoneNumber } from '@locutor/core/directory';
import { Play, Square, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { audioUrl, useMessages, type Message } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { tellDone, tellProblem } from '../../parts/notices';
import { loadAudio, playPcm } from '../../handset/sounds';
import { ScreenHead } from '../../parts/ScreenHead';
import { showLength, showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';

const list = '/api/messages';

/** What callers left after the beep, newest first. */
export default function Messages() {
  const { data: messages } = useMessages();
  const unheard = messages?.filter((message) => !message.heard).length ?? 0;
  return (
    <Box pb="8">
      <ScreenHead title="Messages">{unheard > 0 && <Text color="quiet">{unheard} not heard yet</Text>}</ScreenHead>
      <Box px="6" maxW="860px">
        {messages?.length === 0 && (
          <Box py="4" maxW="460px">
            <Text fontWeight="600">No messages.</Text>
            <Text mt="1">
              Call the line on the handset, choose somebody and let it ring: what you say after the beep arrives here.
            </Text>
          </Box>
        )}
        <Box as="ul" listStyleType="none">
          {messages?.map((message) => (
            <MessageRow key={message.id} message={message} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

function MessageRow({ message }: { readonly message: Message }) {
  const { line, names } = useDraftTools();
  const { mutate } = useSWRConfig();
  const now = useNow(60_000);
  const caller = message.callerNumber === 'anonymous' ? 'Anonymous' : showPhoneNumber(message.callerNumber);
  const box = names[message.boxId] ?? 'a deleted box';

  const ask = async (path: string, method: string, body?: unknown): Promise<void> => {
    try {
      await api(path, { method, body });
      await mutate(list);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const mark = (heard: boolean) => ask(`${list}/${message.id}`, 'PATCH', { heard });
  const remove = async (): Promise<void> => {
    await ask(`${list}/${message.id}`, 'DELETE');
    tellDone(`The message from ${caller} was deleted.`, () => void ask(`${list}/${message.id}/restore`, 'POST'));
  };

  return (
    <Flex
      as="li"
      gap="3"
      py="2.5"
      align="center"
      wrap="wrap"
      borderTopWidth="1px"
      borderColor="hairline"
      aria-label={`Message from ${caller}`}
    >
      <Player message={message} onPlayed={() => !message.heard && void mark(true)} />
      <Box flex="1" minW="180px">
        <Text fontFamily="mono" fontSize="13.5px" fontWeight={message.heard ? 400 : 500}>
          {caller}
        </Text>
        <Text fontSize="13px" color="quiet">
          for <b>{box}</b>, {showWhen(message.leftAt, line.timeZone, now)}
          {message.trial && ', in a trial of the draft'}
        </Text>
      </Box>
      <Text fontFamily="mono" fontSize="13px">
        {showLength(message.lengthMs)}
      </Text>
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
      <Button asChild size="xs" variant="ghost">
        <a href={audioUrl(message.audioId)} download="message.wav">
          Save
        </a>
      </Button>
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
  );
}

function Player({ message, onPlayed }: { readonly message: Message; readonly onPlayed: () => void }) {
  const stop = useRef<(() => void) | null>(null);
  const [isPlaying, setPlaying] = useState(false);
  const end = (): void => {
    stop.current?.();
    stop.current = null;
    setPlaying(false);
  };
  useEffect(() => () => stop.current?.(), []);
  const start = async (): Promise<void> => {
    try {
      const sound = await loadAudio(message.audioId);
      setPlaying(true);
      const stopSound = playPcm(sound);
      const timer = setTimeout(() => {
        end();
        onPlayed();
      }, message.lengthMs);
      stop.current = () => {
        clearTimeout(timer);
        stopSound();
      };
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <IconButton
      size="sm"
      variant="outline"
      bg="sheet"
      borderRadius="full"
      aria-label={isPlaying ? 'Stop' : 'Play'}
      onClick={() => (isPlaying ? end() : void start())}
    >
      {isPlaying ? <Square size={14} /> : <Play size={14} />}
    </IconButton>
  );
}
