import { Box, Button, Flex, Link, Text } from '@chakra-ui/react';
import { ExternalLink, PhoneCall } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../../api/client';
import { usePeople } from '../../../api/resources';
import { useDeskAtHand } from '../../../live/useDeskAtHand';
import { InlineSelect } from '../../../parts/InlineSelect';
import { stageWords } from '../../../takes/PhoneRecorder';
import { takeByPhone, type PhoneStage, type SpokenOnPhone, type Work } from '../../../takes/upload';
import { takesPath, type KeptTake } from '../../../takes/useTakes';
import type { Recordable } from '../useRecordables';

/** Rings a colleague's desk phone, on which what is left is recorded, one text after the other. */
export function SessionByPhone({ left }: { readonly left: readonly Recordable[] }) {
  const people = usePeople();
  const { desk: person, choose } = useDeskAtHand(people);
  const { mutate } = useSWRConfig();
  const [stage, setStage] = useState<PhoneStage | null>(null);
  const [at, setAt] = useState<Recordable | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const work = useRef<Work<KeptTake> | null>(null);
  useEffect(() => () => work.current?.cancel(), []);
  if (people.length === 0) return null;

  const use = async (of: Recordable): Promise<void> => {
    try {
      const [newest] = await api<readonly KeptTake[]>(`${takesPath}?place=${encodeURIComponent(of.place)}`);
      if (newest) await of.setUse({ takeId: newest.id, byVoice: false });
      await mutate(takesPath);
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  const ring = async (): Promise<void> => {
    const texts = left.map(({ place, text, says, name }): SpokenOnPhone => ({ place, text, says, name }));
    const [first, ...more] = texts;
    if (!person || !first) return setProblem('Choose first whose desk phone is rung.');
    let done = 0;
    setProblem(null);
    setStage('ringing');
    setAt(left[0] ?? null);
    work.current = takeByPhone([first, ...more], person.id, (next) => {
      setStage(next);
      if (next !== 'kept') return;
      const kept = left[done];
      done += 1;
      setAt(left[done] ?? null);
      if (kept) void use(kept);
    });
    try {
      await work.current.done;
    } catch (error) {
      const isGivenUp = error instanceof DOMException && error.name === 'AbortError';
      if (!isGivenUp && done === 0) setProblem(wordsOf(error));
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
      flex="1"
      minW="320px"
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
          {at && (
            <Box mt="1">
              <Text fontSize="13px" color="quiet">
                {at.name}
              </Text>
              <Text fontFamily="spoken" fontSize="18px" lineHeight="1.5">
                {at.text}
              </Text>
            </Box>
          )}
        </>
      ) : (
        <Text fontSize="14px">
          Or ring the desk phone of{' '}
          <InlineSelect
            label="Whose desk phone is rung"
            value={person?.id ?? ''}
            toChoose="whom?"
            choices={people.map(({ id, name, extension }) => ({ value: id, label: `${name}, ${extension}` }))}
            onChange={choose}
          />
          : they record what is left on one call, with the words on its display.
        </Text>
      )}
      {problem && (
        <Text role="alert" fontSize="13px" fontWeight="500" mt="2">
          {problem}
        </Text>
      )}
      <Flex mt="2" gap="3" align="center" wrap="wrap">
        {stage ? (
          <Button size="sm" variant="outline" onClick={() => work.current?.cancel()}>
            Hang up
          </Button>
        ) : (
          <Button size="sm" variant="outline" bg="sheet" onClick={() => void ring()}>
            <PhoneCall size={14} aria-hidden /> Ring it
          </Button>
        )}
        {person && (
          <Link href={`/desk/${person.id}`} target="_blank" rel="noopener" fontSize="13px" color="petrol.fg">
            Open {first}’s desk phone <ExternalLink size={12} aria-hidden />
          </Link>
        )}
      </Flex>
    </Box>
  );
}
