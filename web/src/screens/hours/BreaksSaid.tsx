import { Text } from '@chakra-ui/react';
import { dayAt, type Hours } from '@locutor/core/hours';
import { languageOf } from '@locutor/core/line';
import { englishClockOf, saidWeek } from '@locutor/core/speech';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { useNow } from '../../parts/useNow';

interface Props {
  readonly hours: Hours;
  /** The week that is looked at. */
  readonly week: Hours['week'];
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** A week as callers are told it while it holds, and whether its breaks are told. */
export function BreaksSaid({ hours, week, onChange }: Props) {
  const { line } = useDraftTools();
  const voice = useAttendantPart((attendant) => attendant.voice);
  const now = useNow(60_000);
  const today = dayAt(now, line.timeZone);
  const alone = { ...hours, week, datedWeeks: [], seasons: [] };
  const said = saidWeek(alone, line.timeZone, Date.parse(`${today}T12:00Z`), {
    language: languageOf(voice),
    clock: englishClockOf(line),
  });
  return (
    <Text mt="2" fontSize="13px" color="quiet" lineHeight="1.9">
      Callers are told the hours{' '}
      <InlineSelect
        label="How breaks are told"
        value={hours.breaksSaid === false ? 'left' : 'told'}
        choices={[
          { value: 'told', label: 'with the breaks in them' },
          { value: 'left', label: 'without the breaks' },
        ]}
        onChange={(value) => void onChange({ ...hours, breaksSaid: value === 'told' })}
      />
      , where a greeting says them:{' '}
      <Text as="span" fontFamily="spoken" fontSize="15px" color="ink">
        {said}
      </Text>
    </Text>
  );
}
