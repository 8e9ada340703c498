import { Box, Button, Flex, Text, Textarea } from '@chakra-ui/react';
import type { HeardPart, TakeVerdict } from '@locutor/core/line';
import { longestWords } from '@locutor/core/line';
import { expectedSentences } from '@locutor/core/listening';
import { Check, Ear } from 'lucide-react';
import { useId, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { tellDone, tellProblem } from '../parts/notices';
import { takesPath, type KeptTake } from './useTakes';

interface Props {
  readonly take: KeptTake;
  readonly onRecord: () => void;
  /** Lets the voice speak until there is a better one; null where it does already. */
  readonly onVoice: (() => void) | null;
}

/** What is known of what a recording says, and what can be done where that is something else, or nothing. */
export function TakeSaysNote({ take, onRecord, onVoice }: Props) {
  const settle = useSettle(take);
  const [isAnswering, setAnswering] = useState(false);
  const { verdict } = take;
  const expected = expectedSentences(take.says).join(' ');
  const right = (
    <Button size="xs" variant="outline" bg="sheet" onClick={() => void settle(expected, 'It is taken to say that.')}>
      <Check size={13} aria-hidden /> It says these words
    </Button>
  );
  const answer = (
    <Answer
      onAnswer={(typed) => {
        setAnswering(false);
        void settle(typed, 'It is kept as what the recording says.');
      }}
    />
  );
  if (verdict === null) {
    return (
      <Text role="status" mt="3" fontSize="13px" color="quiet">
        <Ear size={13} aria-hidden style={{ display: 'inline' }} /> It is being listened to …
      </Text>
    );
  }
  switch (verdict.type) {
    case 'right':
      return (
        <Box mt="3" fontSize="13px">
          <Text role="status" as="span">
            <Check size={13} aria-hidden style={{ display: 'inline' }} /> It says what it should
            {verdict.by === 'listening' ? ', as far as it was heard.' : '.'}
          </Text>{' '}
          <Button
            size="xs"
            variant="plain"
            p="0"
            h="auto"
            color="petrol.fg"
            textDecoration="underline"
            aria-expanded={isAnswering}
            onClick={() => setAnswering(!isAnswering)}
          >
            It says something else
          </Button>
          {isAnswering && answer}
        </Box>
      );
    case 'other':
      return (
        <Note title="It says something else">
          <Heard parts={verdict.parts} />
          <Flex mt="2" gap="2" wrap="wrap">
            <Button size="xs" colorPalette="petrol" onClick={onRecord}>
              Record again
            </Button>
            {onVoice && (
              <Button size="xs" variant="outline" bg="sheet" onClick={onVoice}>
                Use the voice until then
              </Button>
            )}
            {verdict.by === 'listening' && right}
          </Flex>
          {answer}
          {verdict.by === 'listening' && (
            <Text mt="1.5" fontSize="12.5px" color="quiet">
              Listening can be wrong, above all with names and noise: hear it yourself.
            </Text>
          )}
        </Note>
      );
    case 'unknown':
      return (
        <Note title="What does it say?">
          <Text fontSize="13px">{unknownWords[verdict.why]}</Text>
          {expected !== '' && (
            <Text mt="1" fontFamily="spoken" fontSize="15px">
              {expected}
            </Text>
          )}
          <Flex mt="2" gap="2" wrap="wrap">
            {expected !== '' && right}
          </Flex>
          {answer}
        </Note>
      );
  }
}

const unknownWords: Readonly<Record<Extract<TakeVerdict, { type: 'unknown' }>['why'], string>> = {
  language: 'Only English can be listened to here. Hear it, and say whether it says these words:',
  noRecogniser: 'No speech recogniser is installed here. Hear it, and say whether it says these words:',
  unclear: 'It was listened to, and not understood well enough. Hear it, and say whether it says these words:',
  noWords: 'No words are written for it. Hear it, and type what it says.',
};

function Note({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <Box role="status" mt="3" p="2.5" bg="sunk" borderRadius="md">
      <Text fontWeight="600" fontSize="13px">
        {title}
      </Text>
      {children}
    </Box>
  );
}

/** What was heard; where that is something else, what should have been said stands beside it, struck through. */
function Heard({ parts }: { readonly parts: readonly HeardPart[] }) {
  return (
    <Text mt="1" fontFamily="spoken" fontSize="15px" lineHeight="1.6">
      {parts.map(({ text, insteadOf }, index) => (
        <span key={index}>
          {insteadOf === null ? (
            text
          ) : (
            <>
              <Text as="mark" bg="petrol.subtle" color="inherit" fontWeight="600" px="0.5">
                {text || 'nothing'}
              </Text>{' '}
              <Text as="span" fontSize="13px" fontFamily="body" color="quiet">
                (instead of “{insteadOf}”)
              </Text>
            </>
          )}{' '}
        </span>
      ))}
    </Text>
  );
}

function Answer({ onAnswer }: { readonly onAnswer: (answer: string) => void }) {
  const id = useId();
  const [typed, setTyped] = useState('');
  return (
    <Box mt="2">
      <Text asChild fontSize="12px" color="quiet">
        <label htmlFor={id}>Type what it says, word for word</label>
      </Text>
      <Flex gap="2" align="end">
        <Textarea
          id={id}
          value={typed}
          rows={1}
          maxLength={longestWords}
          fontFamily="spoken"
          fontSize="15px"
          bg="sheet"
          css={{ fieldSizing: 'content' }}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
        <Button size="xs" variant="outline" bg="sheet" disabled={typed.trim() === ''} onClick={() => onAnswer(typed)}>
          Keep
        </Button>
      </Flex>
    </Box>
  );
}

/** Keeps the answer to what a recording says; it can be taken back. */
function useSettle({ id, verdict, text }: KeptTake): (answer: string, done: string) => Promise<void> {
  const { mutate } = useSWRConfig();
  const set = async (body: object): Promise<void> => {
    await api(`${takesPath}/${id}`, { method: 'PATCH', body });
    await mutate(takesPath);
  };
  return async (answer, done) => {
    try {
      await set({ answer });
      tellDone(done, () => void set({ verdict: JSON.stringify(verdict), text }));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
}
