import { Box, Button, chakra, Flex, Text, Textarea } from '@chakra-ui/react';
import { clockReading, instantOf, isWorkingAt, switchLimits, usualEnds, type SwitchTo } from '@locutor/core/hours';
import { sentencesOf } from '@locutor/core/speech';
import type { Attendant } from '@locutor/core/line';
import { useMemo, useState, type FormEvent } from 'react';
import { wordsOf } from '../api/client';
import { useDraftTools } from '../draft/DraftProvider';
import { InlineSelect } from '../parts/InlineSelect';
import { Listen } from '../parts/Listen';
import { tellDone } from '../parts/notices';
import { showWhen } from '../parts/time';
import { useSpokenFacts } from '../speech/useSpokenFacts';
import { endWords, switchVerb, switchedTo } from './switchWords';
import { rememberWho, whoIsIt } from '../parts/who';
import { WhoField } from '../parts/WhoField';
import { useSwitchDoors, type KeptSwitch } from './useSwitch';
import { MomentField } from '../parts/MomentField';

interface Props {
  readonly attendant: Attendant;
  readonly now: number;
  readonly to: SwitchTo;
  /** The switch that is being changed; null for a new one. */
  readonly from: KeptSwitch | null;
  readonly onClose: () => void;
}

/** Until when, with which words, by whom; everything is filled in, so that one press is enough. */
export function SwitchForm({ attendant, now, to: first, from, onClose }: Props) {
  const { line, hours } = useDraftTools();
  const { timeZone } = line;
  const { set } = useSwitchDoors(line);
  const facts = useSpokenFacts();
  const [openedAt] = useState(now);
  const ends = useMemo(() => usualEnds(hours, timeZone, openedAt), [hours, timeZone, openedAt]);
  const [to, setTo] = useState(first);
  const [end, setEnd] = useState<string>(() => usualChoice(first, from, isWorkingAt(hours, timeZone, openedAt)));
  const [reading, setReading] = useState(() => clockReading(from?.untilMs ?? openedAt + 2 * 3_600_000, timeZone));
  const [words, setWords] = useState(from?.words ?? '');
  const [by, setBy] = useState(whoIsIt);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const typed = reading ? instantOf(reading, timeZone) : NaN;
  const untilMs = ends.find(({ is }) => is === end)?.atMs ?? typed;
  const sentences = sentencesOf(words, attendant.voice, { type: 'line' }, facts);
  const until = Number.isNaN(untilMs) ? '…' : showWhen(untilMs, timeZone, now);

  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (Number.isNaN(untilMs)) return setProblem('Say until when, with a day and a time.');
    setBusy(true);
    try {
      rememberWho(by);
      await set({ to, untilMs, words: words.trim(), by });
      tellDone(`${switchedTo(to, attendant)} until ${until}. Callers notice from now on.`);
      onClose();
    } catch (error) {
      setProblem(wordsOf(error));
      setBusy(false);
    }
  };

  return (
    <Box asChild bg="sheet" borderWidth="2px" borderColor="petrol.solid" borderRadius="md" p="3">
      <form aria-label="The switch" onSubmit={(event) => void submit(event)}>
        {to.type === 'sheet' && (
          <Text mb="2">
            From now on{' '}
            <InlineSelect
              label="What answers"
              value={to.sheetId}
              choices={attendant.sheets.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(id) =>
                setTo({ type: 'sheet', sheetId: attendant.sheets.find((each) => each.id === id)?.id ?? to.sheetId })
              }
            />{' '}
            answers.
          </Text>
        )}
        <Flex asChild direction="column" gap="0.5" border="0" p="0" m="0">
          <fieldset>
            <Text as="legend" fontWeight="600" mb="1">
              {to.type === 'sheet' ? 'Until when?' : `${switchVerb(to, attendant)} from now until when?`}
            </Text>
            {ends.map((each) => (
              <EndChoice
                key={each.is}
                says={endWords(each, timeZone, now)}
                isChosen={end === each.is}
                onChoose={() => setEnd(each.is)}
              />
            ))}
            <EndChoice says="Until another time" isChosen={end === 'another'} onChoose={() => setEnd('another')}>
              {end === 'another' && (
                <MomentField label="Until when, by the line’s clock" value={reading} onChange={setReading} />
              )}
            </EndChoice>
          </fieldset>
        </Flex>
        <Text asChild fontWeight="600" mt="3" mb="1" display="block">
          <label htmlFor="switch-words">What callers hear first, if anything</label>
        </Text>
        <Flex gap="2" align="flex-start" wrap="wrap">
          <Textarea
            id="switch-words"
            value={words}
            maxLength={switchLimits.words}
            placeholder="Closed early because of the storm."
            fontFamily="spoken"
            fontSize="16px"
            rows={2}
            flex="1 1 260px"
            bg="paper"
            autoresize
            onChange={(event) => setWords(event.currentTarget.value)}
          />
          {words.trim() !== '' && <Listen sentences={sentences} label="Hear it" />}
        </Flex>
        <Box mt="3">
          <WhoField value={by} onChange={setBy} />
        </Box>
        {problem && (
          <Text role="alert" mt="2" fontWeight="500">
            {problem}
          </Text>
        )}
        <Flex mt="3" gap="2" wrap="wrap">
          <Button type="submit" colorPalette="petrol" minH="44px" h="auto" py="2" whiteSpace="normal" disabled={isBusy}>
            {switchVerb(to, attendant)} until {until}
          </Button>
          <Button variant="ghost" minH="44px" onClick={onClose}>
            Leave it as it is
          </Button>
        </Flex>
      </form>
    </Box>
  );
}

/** The end that is most likely meant. */
function usualChoice(to: SwitchTo, from: KeptSwitch | null, isOpen: boolean): string {
  if (from) return 'another';
  if (to.type === 'closed') return isOpen ? 'endOfDay' : 'nextOpening';
  return to.type === 'open' && !isOpen ? 'anHour' : 'endOfDay';
}

function EndChoice({
  says,
  isChosen,
  onChoose,
  children,
}: {
  readonly says: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly children?: React.ReactNode;
}) {
  return (
    <Flex align="center" gap="2" wrap="wrap" minH={{ base: '40px', md: '30px' }}>
      <Flex asChild align="center" gap="2" cursor="pointer">
        <label>
          <chakra.input
            type="radio"
            name="switch-end"
            accentColor="petrol.solid"
            checked={isChosen}
            onChange={onChoose}
          />
          {says}
        </label>
      </Flex>
      {children}
    </Flex>
  );
}
