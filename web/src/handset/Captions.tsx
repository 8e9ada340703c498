import { Box, Text } from '@chakra-ui/react';
import type { TranscriptEntry } from '@locutor/core/call';
import type { Names } from '@locutor/core/line';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Heard } from '../parts/heard';
import { WordBeingSaid } from '../parts/SpokenCaption';
import { captionOf, linkOf } from './captionWords';

interface Props {
  readonly transcript: readonly TranscriptEntry[];
  /** The sentence being heard. */
  readonly speaking: Heard | null;
  /** Indexes of sentences not heard. */
  readonly unheard: ReadonlySet<number>;
  readonly names: Names;
}

/** What is heard, line by line, the word being spoken marked; each leads to where it was written. */
export function Captions({ transcript, speaking, unheard, names }: Props) {
  const end = useRef<HTMLDivElement>(null);
  useEffect(() => {
    void end.current?.scrollIntoView({ block: 'nearest' });
  }, [transcript.length, speaking]);
  return (
    <Box role="log" aria-label="What is heard" tabIndex={0} flex="1" minH="0" overflow="auto" px="4" py="2">
      {transcript.map((entry, index) => {
        if (unheard.has(index)) return null;
        return (
          <Caption key={index} entry={entry} speaking={index === speaking?.index ? speaking : null} names={names} />
        );
      })}
      <div ref={end} />
    </Box>
  );
}

interface CaptionProps {
  readonly entry: TranscriptEntry;
  readonly speaking: Heard | null;
  readonly names: Names;
}

function Caption({ entry, speaking, names }: CaptionProps) {
  if (entry.type === 'said') {
    return (
      <Box
        asChild
        display="block"
        fontFamily="spoken"
        fontSize="16px"
        lineHeight="1.35"
        py="1"
        pl="2.5"
        ml="-2.5"
        borderLeftWidth="3px"
        borderColor={speaking ? 'petrol.solid' : 'transparent'}
        bg={speaking ? 'petrol.subtle' : 'transparent'}
        aria-current={speaking ? 'true' : undefined}
        _hover={{ textDecoration: 'underline' }}
      >
        <Link to={linkOf(entry.source)} title="Go to where this is written">
          {speaking ? <WordBeingSaid text={entry.text} heard={speaking} /> : entry.text}
        </Link>
      </Box>
    );
  }
  const words = captionOf(entry, names);
  return words ? (
    <Text fontSize="12.5px" color="quiet" py="0.5">
      {words}
    </Text>
  ) : null;
}
