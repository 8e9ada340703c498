import { Box, Button, Flex, Link, Text } from '@chakra-ui/react';
import { ExternalLink, PhoneCall } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { wordsOf } from '../api/client';
import { usePeople } from '../api/resources';
import { useDeskAtHand } from '../live/useDeskAtHand';
import { InlineSelect } from '../parts/InlineSelect';
import { takeByPhone, type Bringing, type PhoneStage, type Work } from './upload';
import type { KeptTake } from './useTakes';

interface Props {
  readonly of: Pick<Bringing, 'place' | 'text' | 'says'>;
  readonly name: string;
  readonly onTake: (take: KeptTake) => Promise<void>;
  readonly onClose: () => void;
}

export const stageWords: Readonly<Record<PhoneStage, (first: string) => string>> = {
  ringing: (first) => `${first}’s phone is ringing …`,
  instructing: () => 'Answered. The phone says what to do.',
  recording: () => 'Recording. # ends it.',
  finishing: () => 'Making it good …',
  asking: () => 'Recorded. On the phone, 1 keeps it, 2 plays it, 3 records again.',
  kept: () => 'Kept.',
};

/** Records with a desk phone: it is rung, and everything else is done on its keys. */
export function PhoneRecorder({ of, name, onTake, onClose }: Props) {
  const people = usePeople();
  const { desk: person, choose } = useDeskAtHand(people);
  const [stage, setStage] = useState<PhoneStage | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const work = useRef<Work<KeptTake> | null>(null);
  useEffect(() => () => work.current?.cancel(), []);
  if (people.length === 0) return <Text mt="3">Nobody has a desk phone yet. Add people in the directory first.</Text>;

  const ring = async (): Promise<void> => {
    if (!person) return setProblem('Choose first whose desk phone is rung.');
    setProblem(null);
    setStage('ringing');
    work.current = takeByPhone([{ ...of, name }], person.id, setStage);
    try {
      await onTake(await work.current.done);
      onClose();
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) setProblem(wordsOf(error));
    } finally {
      work.current = null;
      setStage(null);
    }
  };
  const first = person?.name.split(' ')[0] ?? '';

  return (
    <Box
      role="region"
      aria-label="Record by phone"
      mt="3"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      p="3"
      bg="paper"
    >
      {stage ? (
        <>
          <Text role="status" fontWeight="600" fontSize="14px">
            {stageWords[stage](first)}
          </Text>
          <Box mt="1" maxH="150px" overflowY="auto" fontFamily="spoken" fontSize="20px" lineHeight="1.5">
            {of.text}
          </Box>
        </>
      ) : (
        <Text fontSize="14px">
          Ring the desk phone of{' '}
          <InlineSelect
            label="Whose desk phone is rung"
            value={person?.id ?? ''}
            toChoose="whom?"
            choices={people.map(({ id, name: each, extension }) => ({ value: id, label: `${each}, ${extension}` }))}
            onChange={choose}
          />
          . It says what to do, and the words stand on its display.
        </Text>
      )}
      {problem && (
        <Text role="alert" fontSize="13px" fontWeight="500" mt="2">
          {problem}
        </Text>
      )}
      <Flex mt="3" gap="3" align="center" wrap="wrap">
        {stage ? (
          <Button size="sm" variant="outline" onClick={() => work.current?.cancel()}>
            Hang up
          </Button>
        ) : (
          <Button size="sm" colorPalette="petrol" onClick={() => void ring()}>
            <PhoneCall size={14} aria-hidden /> Ring it
          </Button>
        )}
        {person && (
          <Link href={`/desk/${person.id}`} target="_blank" rel="noopener" fontSize="13px" color="petrol.fg">
            Open {first}’s desk phone <ExternalLink size={12} aria-hidden />
          </Link>
        )}
        <Button size="sm" variant="ghost" ml="auto" onClick={onClose}>
          Close
        </Button>
      </Flex>
    </Box>
  );
}
