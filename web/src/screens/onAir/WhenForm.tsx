import { Box, Button, chakra, Flex, Text, Textarea } from '@chakra-ui/react';
import { clockReading, instantOf } from '@locutor/core/hours';
import type { QuietHour } from '@locutor/core/traffic';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import { usePlanned, useQuietHours, type Version } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { whoIsIt } from '../../parts/who';
import { WhoField } from '../../parts/WhoField';
import { useAiring, type Airing } from './useAiring';
import { MomentField } from '../../parts/MomentField';

type When = 'now' | 'quiet' | 'quietOpen' | 'time';

interface Props {
  /** What stands in the way; null for nothing. */
  readonly stops: string | null;
  /** Whether it is what is on air. */
  readonly isSame: boolean;
  /** The earlier version that goes back on air; the draft goes there when left out. */
  readonly version?: Pick<Version, 'id' | 'number'>;
}

/** When it goes on air, who does it, a note; then progress, or why not, which stay when nothing more is to be put on air. */
export function WhenForm({ stops, isSame, version }: Props) {
  const { line } = useDraftTools();
  const quiet = useQuietHours(line.id);
  const planned = usePlanned(line.id);
  const now = useNow(30_000);
  const { state, putOnAir, plan, cancel } = useAiring(version?.id ?? null);
  const [when, setWhen] = useState<When>('now');
  const [reading, setReading] = useState(() => clockReading(Date.now() + 3_600_000, line.timeZone).slice(0, 16));
  const [note, setNote] = useState('');
  const [by, setBy] = useState(whoIsIt);
  const isWorking = state.type === 'working';
  const at =
    when === 'quiet'
      ? quiet?.quietest?.atMs
      : when === 'quietOpen'
        ? quiet?.whileOpen?.atMs
        : reading
          ? instantOf(reading, line.timeZone)
          : undefined;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (when === 'now') void putOnAir(by, note);
    else if (at !== undefined) void plan(at, by, note, planned);
  };
  const log =
    quiet && quiet.calls > 0 ? `by ${quiet.calls.toLocaleString()} calls of the last weeks` : 'no calls are logged yet';
  const hourWords = (hour: QuietHour | undefined): string =>
    hour ? `${showWhen(hour.atMs, line.timeZone, now)}: ${callsWords(hour.calls)} in that hour, ${log}` : '';
  if (isSame && !isWorking) {
    return (
      <>
        <Text color="quiet">
          There is nothing to put on air: {version ? `version ${version.number}` : 'the draft'} is what callers hear.
        </Text>
        <Progress state={state} />
      </>
    );
  }
  return (
    <form onSubmit={submit} aria-label="Put on air">
      <Flex direction="column" gap="0.5">
        <Choice says="Now" isOn={when === 'now'} onChoose={() => setWhen('now')} />
        {quiet?.quietest && (
          <Choice says="At the quietest hour soon" isOn={when === 'quiet'} onChoose={() => setWhen('quiet')}>
            {hourWords(quiet.quietest)}
          </Choice>
        )}
        {quiet?.whileOpen && (
          <Choice
            says="At the quietest hour while you are open"
            isOn={when === 'quietOpen'}
            onChoose={() => setWhen('quietOpen')}
          >
            {hourWords(quiet.whileOpen)}. Somebody is there for the first calls.
          </Choice>
        )}
        <Choice says="At a time" isOn={when === 'time'} onChoose={() => setWhen('time')}>
          {when === 'time' && (
            <MomentField label="When it goes on air, by the line’s clock" value={reading} onChange={setReading} />
          )}
        </Choice>
      </Flex>
      <Textarea
        mt="3"
        rows={2}
        bg="sheet"
        maxW="560px"
        aria-label="A note for the history"
        placeholder="What it is for, such as: winter hours"
        maxLength={500}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <Box mt="2">
        <WhoField value={by} onChange={setBy} />
      </Box>
      <Flex mt="4" gap="3" align="center" wrap="wrap">
        <Button
          type="submit"
          colorPalette="petrol"
          disabled={stops !== null || isWorking || (when !== 'now' && at === undefined)}
        >
          {when === 'now'
            ? version
              ? 'Put back on air now'
              : 'Put on air now'
            : planned
              ? 'Change what is planned'
              : 'Plan it'}
        </Button>
        {cancel && (
          <Button variant="outline" onClick={cancel}>
            Give it up
          </Button>
        )}
        {stops && <Text color="quiet">{stops}</Text>}
      </Flex>
      <Progress state={state} />
    </form>
  );
}

/** How many calls are to be expected. */
function callsWords(calls: number): string {
  return calls < 0.1 ? 'hardly a call' : `about ${calls.toFixed(1)} calls`;
}

function Choice({
  says,
  isOn,
  onChoose,
  children,
}: {
  readonly says: string;
  readonly isOn: boolean;
  readonly onChoose: () => void;
  readonly children?: ReactNode;
}) {
  return (
    <Flex align="baseline" gap="2" wrap="wrap" minH="30px">
      <Flex asChild align="baseline" gap="2" cursor="pointer">
        <label>
          <chakra.input type="radio" name="when" accentColor="petrol.solid" checked={isOn} onChange={onChoose} />
          {says}
        </label>
      </Flex>
      {children && (
        <Text as="span" color="quiet" fontSize="13px">
          {children}
        </Text>
      )}
    </Flex>
  );
}

const stageWords = {
  saving: 'Saving the draft',
  proof: 'Reading the proof again, with the directory as it is now',
  rehearsals: 'Running the rehearsals',
  speaking: 'Speaking what the first callers hear',
  storing: 'Keeping the version',
  onAir: 'On air',
} as const;
const stages = Object.keys(stageWords) as (keyof typeof stageWords)[];

function Progress({ state }: { readonly state: Airing }) {
  if (state.type === 'idle') return null;
  if (state.type === 'refused') {
    return (
      <Text role="alert" mt="3" fontWeight="500">
        {state.says}
      </Text>
    );
  }
  if (state.type === 'done') {
    return (
      <Text role="status" mt="3" fontWeight="500">
        Version {state.version.number} is on air. Callers hear it from now on.{' '}
        <Text asChild color="petrol.fg" textDecoration="underline">
          <Link to={`/first-calls/${state.version.id}`}>Make the first calls</Link>
        </Text>
      </Text>
    );
  }
  const at = stages.indexOf(state.stage);
  return (
    <Box as="ol" listStyleType="none" mt="3" role="status" aria-label="Progress">
      {stages.map((stage, index) => (
        <Text as="li" key={stage} color={index > at ? 'quiet' : undefined} fontWeight={index === at ? 600 : 400}>
          {index < at ? '✓ ' : index === at ? '… ' : '   '}
          {stageWords[stage]}
        </Text>
      ))}
    </Box>
  );
}
