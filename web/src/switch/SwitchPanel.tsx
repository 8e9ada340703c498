import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { SwitchTo } from '@locutor/core/hours';
import { usableSwitch, type Attendant } from '@locutor/core/line';
import { useState } from 'react';
import { wordsOf } from '../api/client';
import { useDraftTools } from '../draft/DraftProvider';
import { tellDone, tellProblem } from '../parts/notices';
import { showWhen } from '../parts/time';
import { SwitchForm } from './SwitchForm';
import { switchedTo } from './switchWords';
import { whoIsIt } from '../parts/who';
import { useSwitchDoors, useSwitchState, type KeptSwitch } from './useSwitch';

interface Props {
  /** What callers hear: that is what the switch leads them about in. */
  readonly attendant: Attendant;
  readonly now: number;
}

/** Closes, opens or leads callers to another menu, from now until a moment; while that is so, says so. */
export function SwitchPanel({ attendant, now }: Props) {
  const { line } = useDraftTools();
  const { data } = useSwitchState(line);
  const [form, setForm] = useState<{ readonly to: SwitchTo; readonly from: KeptSwitch | null } | null>(null);
  const switched = data?.switched && data.switched.untilMs > now ? data.switched : null;
  if (!data) return null;
  if (form) {
    const close = (): void => setForm(null);
    return <SwitchForm attendant={attendant} now={now} to={form.to} from={form.from} onClose={close} />;
  }
  if (switched) {
    const change = (): void => setForm({ to: switched.to, from: switched });
    return <SwitchOn switched={switched} attendant={attendant} now={now} onChange={change} />;
  }
  const period = attendant.answering.rules.find((rule) => rule.type === 'period');
  const [sheet] = attendant.sheets;
  const choices: readonly { readonly says: string; readonly to: SwitchTo | undefined }[] = [
    { says: 'Close now', to: { type: 'closed' } },
    { says: 'Open now', to: period && { type: 'open', periodId: period.periodId } },
    { says: 'Another menu now', to: sheet && { type: 'sheet', sheetId: sheet.id } },
  ];
  return (
    <Flex gap="2" wrap="wrap" role="group" aria-label="The switch">
      {choices.map(
        ({ says, to }) =>
          to && (
            <Button key={says} variant="outline" bg="sheet" minH="44px" onClick={() => setForm({ to, from: null })}>
              {says}
            </Button>
          ),
      )}
    </Flex>
  );
}

function SwitchOn({
  switched,
  attendant,
  now,
  onChange,
}: Props & { readonly switched: KeptSwitch; readonly onChange: () => void }) {
  const { line } = useDraftTools();
  const { end } = useSwitchDoors(line);
  const works = usableSwitch(attendant, switched) !== null;
  const stop = (): void => {
    end(whoIsIt()).then(
      () => tellDone('The switch is off. The hours say again what answers.'),
      (error: unknown) => tellProblem(wordsOf(error)),
    );
  };
  return (
    <Box role="group" aria-label="The switch" bg="sheet" borderWidth="2px" borderColor="ink" borderRadius="md" p="3">
      <Text fontWeight="600" fontSize="16px">
        {switchedTo(switched.to, attendant)} until {showWhen(switched.untilMs, line.timeZone, now)}
      </Text>
      <Text color="quiet" fontSize="13px">
        {switched.by} set the switch at {showWhen(switched.fromMs, line.timeZone, now)}. It ends by itself.
      </Text>
      {switched.words !== '' && (
        <Text mt="1.5">
          Callers hear first:{' '}
          <Box as="span" fontFamily="spoken">
            “{switched.words}”
          </Box>
        </Text>
      )}
      {!works && (
        <Text mt="1.5" fontWeight="500">
          What it leads to is not on air, so it changes nothing: callers reach what the hours say.
        </Text>
      )}
      <Flex gap="2" mt="2.5" wrap="wrap">
        <Button variant="outline" minH="44px" onClick={stop}>
          End it now
        </Button>
        <Button variant="ghost" minH="44px" onClick={onChange}>
          Change it
        </Button>
      </Flex>
    </Box>
  );
}
