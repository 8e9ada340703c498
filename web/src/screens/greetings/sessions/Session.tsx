import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { heardText } from '@locutor/core/line';
import { Check, Mic } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSWRConfig } from 'swr';
import { wordsOf } from '../../../api/client';
import { tellProblem } from '../../../parts/notices';
import { SoundPlayer } from '../../../parts/SoundPlayer';
import { Recorder } from '../../../takes/Recorder';
import { bringTake } from '../../../takes/upload';
import { takesPath, useTakes, type KeptTake } from '../../../takes/useTakes';
import type { Recordable } from '../useRecordables';
import { progressOf, type SessionText } from './progress';
import { SessionByPhone } from './SessionByPhone';
import type { RecordingSession } from './useSessions';

interface Props {
  readonly session: RecordingSession;
  readonly recordables: readonly Recordable[];
}

/** Texts recorded one after the other, at this computer or with a desk phone; what was kept is heard at once. */
export function Session({ session, recordables }: Props) {
  const takes = useTakes();
  const { mutate } = useSWRConfig();
  const texts = progressOf(session, recordables, takes);
  const left = texts.filter(({ take }) => take === null).map(({ of }) => of);
  const [current, setCurrent] = useState<string | null>(null);
  const [isBringing, setBringing] = useState(false);
  const now = texts.find(({ of }) => of.place === current)?.of ?? null;
  const keep = async (of: Recordable, file: Blob): Promise<void> => {
    setBringing(true);
    try {
      const { place, text, says } = of;
      const bringing = { file, fileName: 'recording.wav', source: 'microphone', place, text, says } as const;
      const { id } = await bringTake(bringing, () => undefined).done;
      await mutate(takesPath);
      await of.setUse({ takeId: id, byVoice: false });
      setCurrent(left.find((each) => each.place !== place)?.place ?? null);
    } catch (error) {
      tellProblem(wordsOf(error));
    } finally {
      setBringing(false);
    }
  };
  return (
    <>
      <Text>
        {left.length === 0
          ? `All ${texts.length} are recorded.`
          : `${texts.length - left.length} of ${texts.length} are recorded.`}
      </Text>
      {now && !isBringing && (
        <Box mt="3" p="4" bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md">
          <Text fontSize="13px" color="quiet" mb="1">
            {now.name}
            {now.within && (
              <>
                . Read it as a part of{' '}
                <Text as="span" fontFamily="spoken" fontSize="14px">
                  “{now.within}”
                </Text>
                ; the voice says the rest.
              </>
            )}
          </Text>
          <Recorder
            key={now.place}
            text={now.text}
            language={now.language}
            around={now.around()}
            onKeep={(file) => void keep(now, file)}
            onClose={() => setCurrent(null)}
          />
        </Box>
      )}
      {isBringing && (
        <Text role="status" mt="3">
          Making it good …
        </Text>
      )}
      {!now && left[0] && (
        <Flex mt="3" gap="3" align="start" wrap="wrap">
          <Button size="sm" colorPalette="petrol" onClick={() => setCurrent(left[0]?.place ?? null)}>
            <Mic size={14} aria-hidden /> {left.length < texts.length ? 'Go on here' : 'Begin here'}
          </Button>
          <SessionByPhone left={left} />
        </Flex>
      )}
      <Box as="ol" listStyleType="none" aria-label="Texts of this session" mt="4">
        {texts.map((each) => (
          <TextRow
            key={each.of.place}
            text={each}
            isCurrent={each.of.place === current}
            onRecord={() => setCurrent(each.of.place)}
          />
        ))}
      </Box>
    </>
  );
}

interface RowProps {
  readonly text: SessionText;
  readonly isCurrent: boolean;
  readonly onRecord: () => void;
}

function TextRow({ text: { of, take }, isCurrent, onRecord }: RowProps) {
  return (
    <Flex
      as="li"
      gap="3"
      py="2"
      align="start"
      borderBottomWidth="1px"
      borderColor="hairline"
      bg={isCurrent ? 'petrol.subtle' : undefined}
      wrap={{ base: 'wrap', md: 'nowrap' }}
    >
      <Box w="20px" pt="1" flexShrink="0" color="petrol.fg">
        {take && <Check size={16} role="img" aria-label="Recorded" />}
      </Box>
      <Box flex="1" minW="0">
        <Text fontSize="13px" color="quiet">
          {of.name}
        </Text>
        <Text fontFamily="spoken" fontSize="16px" lineHeight="1.45">
          {of.text}
        </Text>
        {take && <Found take={take} of={of} />}
      </Box>
      {take && <SoundPlayer audioId={take.audioId} lengthMs={take.lengthMs} label={`the recording of ${of.name}`} />}
      <Button size="xs" variant="outline" bg="sheet" onClick={onRecord} aria-label={`Record ${of.name}`}>
        {take ? 'Record again' : 'Record'}
      </Button>
    </Flex>
  );
}

/** What listening to it told; where it says something else, that leads to where it can be settled. */
function Found({ take: { verdict }, of }: { readonly take: KeptTake; readonly of: Recordable }) {
  if (verdict === null) {
    return (
      <Text fontSize="13px" color="quiet">
        It is being listened to …
      </Text>
    );
  }
  if (verdict.type === 'right') return null;
  return (
    <Text fontSize="13px" fontWeight="600" textDecoration="underline">
      <Link to={`/greetings/${addressOf(of)}`}>
        {verdict.type === 'other'
          ? `It says something else: “${heardText(verdict)}”`
          : 'Nobody knows yet what it says. Hear it, and say so.'}
      </Link>
    </Text>
  );
}

/** A part of a sheet is recorded on the page of its sheet. */
function addressOf({ place, kind }: Recordable): string {
  return kind === 'sheet' ? (place.split(' ')[1] ?? '') : place;
}
