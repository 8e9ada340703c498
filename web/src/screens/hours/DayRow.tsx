import { Box, Flex, IconButton, Menu, Portal, Text } from '@chakra-ui/react';
import {
  copyDay,
  cutTimes,
  daySpans,
  joinTimes,
  minutesOfDay,
  setDaySpans,
  showDayTimes,
  weekdayName,
  weekdays,
  type DayTime,
  type Hours,
  type Period,
  type Weekday,
} from '@locutor/core/hours';
import { Copy } from 'lucide-react';
import { useRef, useState, type PointerEvent } from 'react';
import { ExactTimes } from './ExactTimes';
import { layered, textureOf } from '../../parts/textures';

export const hourMarks = [0, 3, 6, 9, 12, 15, 18, 21, 24] as const;

interface Props {
  readonly day: Weekday;
  readonly hours: Hours;
  /** The period that is painted. */
  readonly period: Period;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** One day: every period as a stretch of the bar, and the chosen one's times as text. */
export function DayRow({ day, hours, period, onChange }: Props) {
  const times = daySpans(hours, period.id, day);
  const set = (next: readonly DayTime[]): void => {
    const plain = next.map(({ startMin, endMin }) => ({ startMin, endMin }));
    void onChange(setDaySpans(hours, period.id, day, plain));
  };
  return (
    <Flex gap="3" align="flex-start" mt="1">
      <Text w="84px" flexShrink="0" pt="1">
        {weekdayName(day)}
      </Text>
      <DayBar day={day} hours={hours} period={period} times={times} onSet={set} />
      <ExactTimes key={showDayTimes(times)} label={`${period.name} on ${weekdayName(day)}`} times={times} onSet={set} />
      <CopyDay day={day} onCopy={(to) => void onChange(copyDay(hours, day, to))} />
    </Flex>
  );
}

/** Makes other days what this one is, in every period. */
function CopyDay({ day, onCopy }: { readonly day: Weekday; readonly onCopy: (to: readonly Weekday[]) => void }) {
  return (
    <Menu.Root lazyMount onSelect={({ value }) => onCopy(value === 'all' ? weekdays : weekdays.slice(0, 5))}>
      <Menu.Trigger asChild>
        <IconButton
          size="2xs"
          w="24px"
          minW="24px"
          h="30px"
          variant="ghost"
          color="quiet"
          aria-label={`Copy ${weekdayName(day)} to other days`}
        >
          <Copy size={14} aria-hidden />
        </IconButton>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            <Menu.Item value="workdays">Make Monday to Friday like {weekdayName(day)}</Menu.Item>
            <Menu.Item value="all">Make every day like {weekdayName(day)}</Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

const snapMin = 15;

interface BarProps extends Omit<Props, 'onChange'> {
  readonly times: readonly DayTime[];
  readonly onSet: (times: readonly DayTime[]) => void;
}

interface Drag {
  readonly from: number;
  readonly to: number;
  readonly clears: boolean;
}

function DayBar({ day, hours, period, times, onSet }: BarProps) {
  const bar = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const minuteAt = ({ clientX }: PointerEvent): number => {
    const { left, width } = bar.current?.getBoundingClientRect() ?? { left: 0, width: 1 };
    const part = Math.max(0, Math.min(1, (clientX - left) / width));
    return Math.round((part * minutesOfDay) / snapMin) * snapMin;
  };
  const start = (event: PointerEvent): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const from = minuteAt(event);
    const clears = times.some((time) => from >= time.startMin && from < time.endMin);
    setDrag({ from, to: from, clears });
  };
  const finish = (): void => {
    if (drag && drag.from !== drag.to) {
      const stretch = { startMin: Math.min(drag.from, drag.to), endMin: Math.max(drag.from, drag.to) };
      onSet(drag.clears ? cutTimes(times, stretch) : joinTimes([...times, stretch]));
    }
    setDrag(null);
  };
  return (
    <Box
      ref={bar}
      position="relative"
      flex="1"
      h="30px"
      bg="sheet"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      overflow="hidden"
      cursor="crosshair"
      touchAction="none"
      data-day={day}
      onPointerDown={start}
      onPointerMove={(event) => drag && setDrag({ ...drag, to: minuteAt(event) })}
      onPointerUp={finish}
      onPointerCancel={() => setDrag(null)}
    >
      {hourMarks.slice(1, -1).map((hour) => (
        <Box key={hour} position="absolute" insetY="0" left={`${(hour / 24) * 100}%`} w="1px" bg="hairline" />
      ))}
      {stretchesOf(hours, day).map(({ key, periodId, from, to }) => (
        <Stretch
          key={key}
          from={from}
          to={to}
          texture={textureOf(hours.periods, periodId)}
          isChosen={periodId === period.id}
        />
      ))}
      {drag && (
        <Box
          position="absolute"
          insetY="0"
          left={`${(Math.min(drag.from, drag.to) / minutesOfDay) * 100}%`}
          w={`${(Math.abs(drag.to - drag.from) / minutesOfDay) * 100}%`}
          borderWidth="2px"
          borderStyle={drag.clears ? 'dashed' : 'solid'}
          borderColor="petrol.solid"
        />
      )}
    </Box>
  );
}

interface StretchProps {
  readonly from: number;
  readonly to: number;
  readonly texture: ReturnType<typeof textureOf>;
  readonly isChosen: boolean;
}

function Stretch({ from, to, texture, isChosen }: StretchProps) {
  return (
    <Box
      position="absolute"
      top={isChosen ? '0' : '6px'}
      bottom="0"
      left={`${(from / minutesOfDay) * 100}%`}
      w={`${((to - from) / minutesOfDay) * 100}%`}
      pointerEvents="none"
      {...texture}
    />
  );
}

/** What is drawn on a day: its own spans, and the ends of those that began the day before. */
function stretchesOf(hours: Hours, day: Weekday) {
  const dayBefore = day === 1 ? 7 : day - 1;
  return layered(hours.periods, hours.week).flatMap(({ periodId, day: owner, startMin, endMin }, index) => {
    const own =
      owner === day ? [{ key: `${index}`, periodId, from: startMin, to: Math.min(endMin, minutesOfDay) }] : [];
    const runsOver = owner === dayBefore && endMin > minutesOfDay;
    return runsOver ? [...own, { key: `${index}+`, periodId, from: 0, to: endMin - minutesOfDay }] : own;
  });
}
