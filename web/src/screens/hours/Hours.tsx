import { Box, Button, Text } from '@chakra-ui/react';
import { Undo2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { ScreenHead } from '../../parts/ScreenHead';
import { isTyping } from '../../parts/isTyping';
import { AnsweringOrder } from './AnsweringOrder';
import { useWeek } from './useWeek';
import { WeekGrid } from './WeekGrid';

/** When what answers: the regular week in periods, and the answering order. */
export default function Hours() {
  const { hours, change, undo } = useWeek();
  const [chosen, setChosen] = useState(hours.periods[0]?.id);
  const periodId = hours.periods.some((period) => period.id === chosen) ? chosen : hours.periods[0]?.id;

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const isUndo = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z';
      if (!isUndo || !undo || isTyping(event.target)) return;
      event.preventDefault();
      undo();
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [undo]);

  return (
    <Box pb="8">
      <ScreenHead title="Hours">
        <Button size="xs" variant="ghost" disabled={!undo} onClick={() => undo?.()}>
          <Undo2 size={14} aria-hidden /> Undo in the week
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        <Text color="quiet">
          The week is shared by the draft and what is on air: a change here reaches callers at once. What answers is
          part of the draft, and reaches them when it is put on air.
        </Text>
        <WeekGrid hours={hours} periodId={periodId} onChoose={setChosen} onChange={change} />
        <AnsweringOrder hours={hours} />
      </Box>
    </Box>
  );
}
