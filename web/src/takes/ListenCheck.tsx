import { Box, Button, Flex, Text, Textarea } from '@chakra-ui/react';
import { describeHeard, writtenFrom, type HeardOption, type Listened } from '@locutor/core/speech';
import { Ear } from 'lucide-react';
import { useState } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { tellProblem } from '../parts/notices';
import { takesPath, type KeptTake } from './useTakes';

interface Heard {
  readonly options: readonly HeardOption[];
  readonly lines: readonly string[];
}

interface Props {
  readonly take: KeptTake;
  /** What it may say; null where it is in a language that cannot be listened to. */
  readonly expected: Listened | null;
}

/** What a recording says, as text; and, where a recogniser is installed, whether it says the keys as they are. */
export function ListenCheck({ take, expected }: Props) {
  const { mutate } = useSWRConfig();
  const isThere = useSWR<{ readonly isThere: boolean }>('/api/listening', api).data?.isThere ?? false;
  const [typed, setTyped] = useState<string | null>(null);
  const [heard, setHeard] = useState<Heard | 'listening' | null>(null);
  const keep = async (text: string): Promise<void> => {
    try {
      await api(`${takesPath}/${take.id}`, { method: 'PATCH', body: { text } });
      await mutate(takesPath);
      setTyped(null);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const listen = async (): Promise<void> => {
    setHeard('listening');
    try {
      setHeard(await api<Heard>(`${takesPath}/${take.id}/listen`, { method: 'POST', body: expected }));
    } catch (error) {
      setHeard(null);
      tellProblem(wordsOf(error));
    }
  };
  const text = typed ?? take.text;
  return (
    <Box mt="3">
      <Text asChild fontSize="12px" color="quiet">
        <label htmlFor={`says-${take.id}`}>What it says, word for word: shown while it is heard</label>
      </Text>
      <Textarea
        id={`says-${take.id}`}
        value={text}
        rows={1}
        fontFamily="spoken"
        fontSize="15px"
        bg="transparent"
        css={{ fieldSizing: 'content' }}
        placeholder={isThere ? 'Type it, or let it be listened to.' : 'Type what is said in it.'}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={() => typed !== null && typed !== take.text && void keep(typed)}
      />
      {expected && isThere && (
        <Flex mt="1.5" gap="2" align="center" wrap="wrap">
          <Button
            size="xs"
            variant="outline"
            bg="sheet"
            disabled={heard === 'listening'}
            onClick={() => void listen()}
            title="Listens with an offline recogniser for the words and keys of this greeting"
          >
            <Ear size={13} aria-hidden /> {heard === 'listening' ? 'Listening …' : 'Check by listening'}
          </Button>
          {heard !== null && heard !== 'listening' && heard.lines.length > 0 && (
            <Button size="xs" variant="ghost" onClick={() => void keep(writtenFrom(heard.lines))}>
              Use what was heard as its words
            </Button>
          )}
        </Flex>
      )}
      {heard !== null && heard !== 'listening' && <Found heard={heard} />}
    </Box>
  );
}

function Found({ heard: { options, lines } }: { readonly heard: Heard }) {
  return (
    <Box role="status" aria-label="What was heard" mt="2" p="2" bg="sunk" borderRadius="md" fontSize="13px">
      {options.map((option) => (
        <Text key={option.key} fontWeight={option.type === 'right' ? undefined : 600}>
          {describeHeard(option)}
        </Text>
      ))}
      <Text fontFamily="spoken">
        {lines.length > 0 ? `“${writtenFrom(lines)}”` : 'Nothing of its words was understood.'}
      </Text>
      <Text color="quiet">A recogniser can be wrong, above all with names: listen yourself where it is in doubt.</Text>
    </Box>
  );
}
