import { Box, Button, Flex, Heading, Input, Text } from '@chakra-ui/react';
import { instantOf } from '@locutor/core/hours';
import { Check, X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { useParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useFirstCalls, useVersion, type TickedFirstCall } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { rememberWho, whoIsIt } from '../../parts/who';
import { WhoField } from '../../parts/WhoField';

/** The checklist of a version that went on air, ticked off line by line, at a desk or on a telephone. */
export default function FirstCalls() {
  const { line } = useDraftTools();
  const params = useParams();
  const versionId = params.versionId ?? line.onAirVersionId;
  const version = useVersion(line.id, versionId);
  const { data: items } = useFirstCalls(line.id, versionId);
  const [by, setBy] = useState(whoIsIt);
  const now = useNow(60_000);
  if (!versionId) {
    return (
      <Box pb="8">
        <ScreenHead title="First calls" />
        <Text px="6">Nothing is on air yet. Once something is, this is the list of calls to make.</Text>
      </Box>
    );
  }
  const right = items?.filter(({ tick }) => tick?.state === 'right').length ?? 0;
  const wrong = items?.filter(({ tick }) => tick?.state === 'wrong').length ?? 0;
  const parts = [...new Map(items?.map((item) => [item.part, item.reading]))];
  return (
    <Box pb="8">
      <ScreenHead title="First calls">
        <Text color="quiet">{version && `Version ${version.number}`}</Text>
      </ScreenHead>
      <Box px="6" maxW="760px">
        <Text color="quiet">
          Ring the real line and go through it point by point. What you tick is kept with the version, with your name
          and the time.
        </Text>
        <Box mt="2">
          <WhoField value={by} onChange={setBy} />
        </Box>
        {items && (
          <Text mt="3" role="status" fontWeight="500">
            {right} of {items.length} right{wrong > 0 && `, ${wrong} wrong`}
            {right === items.length && items.length > 0 && '. Everything is as it should be.'}
          </Text>
        )}
        {items?.length === 0 && (
          <Text mt="3">This version is of an earlier release, before there were checklists.</Text>
        )}
        {parts.map(([part, reading]) => (
          <Box as="section" key={part} aria-label={part}>
            <Heading as="h2" fontSize="15px" fontWeight="600" mt="5">
              {part}
            </Heading>
            <Text color="quiet" fontSize="13px" mb="1.5">
              {reading ? (
                <>
                  Another moment than now:{' '}
                  <Text asChild color="petrol.fg" textDecoration="underline">
                    <a href="/handset" target="_blank" rel="noreferrer">
                      open a handset
                    </a>
                  </Text>{' '}
                  and pretend it is {showWhen(instantOf(reading, line.timeZone), line.timeZone, now)}.
                </>
              ) : (
                'It is so now: ring with any telephone.'
              )}
            </Text>
            <Box as="ol" listStyleType="none">
              {items
                ?.filter((item) => item.part === part)
                .map((item) => (
                  <Row
                    key={item.id}
                    item={item}
                    path={`/api/lines/${line.id}/versions/${versionId}/first-calls`}
                    by={by}
                  />
                ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Row({ item, path, by }: { readonly item: TickedFirstCall; readonly path: string; readonly by: string }) {
  const { line } = useDraftTools();
  const { mutate } = useSWRConfig();
  const now = useNow(60_000);
  const [note, setNote] = useState<string | null>(null);
  const { id, does, hears, tick } = item;
  const send = async (state: 'right' | 'wrong' | null, said = ''): Promise<void> => {
    rememberWho(by);
    try {
      const body = { itemId: id, state, note: said, by };
      await mutate(path, await api(`${path}/ticks`, { method: 'PUT', body }), { revalidate: false });
      setNote(null);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    void send('wrong', note ?? '');
  };
  return (
    <Box as="li" py="2.5" borderTopWidth="1px" borderColor="hairline">
      <Flex gap="3" align="flex-start" wrap={{ base: 'wrap', sm: 'nowrap' }}>
        <Box flex="1 1 220px" minW="0">
          <Text fontWeight="500">{does}</Text>
          <Text
            fontFamily={hears.includes('“') ? 'spoken' : undefined}
            fontSize={hears.includes('“') ? '15px' : undefined}
          >
            {hears}
          </Text>
          {tick && (
            <Text fontSize="13px" color="quiet">
              {tick.state === 'right' ? 'Right' : 'Wrong'}, {tick.by}, {showWhen(tick.at, line.timeZone, now)}
              {tick.note && `: “${tick.note}”`}
            </Text>
          )}
        </Box>
        <Flex gap="1.5" flexShrink="0">
          <Mark
            says="Right"
            isOn={tick?.state === 'right'}
            icon={<Check size={15} aria-hidden />}
            onPress={() => void send(tick?.state === 'right' ? null : 'right')}
          />
          <Mark
            says="Wrong"
            isOn={tick?.state === 'wrong'}
            icon={<X size={15} aria-hidden />}
            onPress={() => (tick?.state === 'wrong' ? void send(null) : setNote(''))}
          />
        </Flex>
      </Flex>
      {note !== null && (
        <form onSubmit={submit}>
          <Flex gap="2" mt="2">
            <Input
              size="sm"
              bg="sheet"
              autoFocus
              aria-label="What was wrong"
              placeholder="What was wrong"
              maxLength={300}
              value={note}
              onChange={(event) => setNote(event.currentTarget.value)}
            />
            <Button size="sm" type="submit" colorPalette="petrol">
              Keep
            </Button>
          </Flex>
        </form>
      )}
    </Box>
  );
}

function Mark({
  says,
  isOn,
  icon,
  onPress,
}: {
  readonly says: string;
  readonly isOn: boolean;
  readonly icon: React.ReactNode;
  readonly onPress: () => void;
}) {
  return (
    <Button
      minH={{ base: '44px', md: '32px' }}
      size="sm"
      variant={isOn ? 'solid' : 'outline'}
      bg={isOn ? undefined : 'sheet'}
      colorPalette={isOn ? 'petrol' : 'gray'}
      aria-pressed={isOn}
      onClick={onPress}
    >
      {icon} {says}
    </Button>
  );
}
