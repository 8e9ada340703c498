import { Box, Button, Flex, Menu, Portal, Text } from '@chakra-ui/react';
import { findWays, layOut, summaryOf, wayShares, type Row, type Way } from '@locutor/core/paths';
import { expectedMs, type Sentence } from '@locutor/core/speech';
import { ChartBar, Download, Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState, type PointerEvent, type RefObject } from 'react';
import { useNavigate } from 'react-router';
import { useGreetings } from '../../api/resources';
import { useRecentPresses } from '../../api/useRecentPresses';
import { useDraft } from '../../draft/DraftProvider';
import { callMoments, momentMs } from '../../handset/callMoments';
import { nothingKept, useCallScript } from '../../handset/useCallScript';
import { slotLink } from '../../path/slotLink';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellProblem } from '../../parts/notices';
import { showLength } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { wordsOf } from '../../api/client';
import { screenColours } from './colours';
import { drawingHeight, labelPx, MapDrawing, MapLabels, rowPx, rowTitle } from './MapDrawing';
import { PrintSheets, type Paper } from './PrintSheets';
import { savePng, saveSvg } from './saveMap';
import { lengthKey, useLengths } from './useLengths';
import { MomentField } from '../../parts/MomentField';

const zooms = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 48];

/** The whole attendant drawn over the seconds a caller spends in it. */
export default function TimeMap() {
  const { attendant, names, line } = useDraft();
  const moment = useMoment();
  const { make } = useCallScript();
  const script = useMemo(() => make(attendant, nothingKept), [make, attendant]);
  const { atMs } = moment;
  const lengths = useLengths(attendant, useGreetings());
  const found = useMemo(() => {
    const lengthMs = (sentence: Sentence): number => lengths.lengthMs.get(lengthKey(sentence)) ?? expectedMs(sentence);
    return findWays(script, { atMs, once: true, lengthMs });
  }, [script, atMs, lengths.lengthMs]);
  const frame = useRef<HTMLDivElement>(null);
  const [chosen, setZoom] = useState<number | null>(null);
  const fit = useFit(frame, found.ways);
  const zoom = chosen ?? fit;
  const layout = useMemo(
    () => layOut(found.ways, { pxPerSecond: zoom, rowPx, leftPx: 24, endPx: 190 }),
    [found.ways, zoom],
  );
  const [isByCalls, setByCalls] = useState(false);
  const pressed = useRecentPresses(isByCalls);
  const shares = useMemo(
    () => (isByCalls && pressed ? wayShares(found.ways, pressed) : undefined),
    [isByCalls, pressed, found.ways],
  );
  const [paper, setPaper] = useState<Paper | null>(null);
  const donePrinting = useCallback(() => setPaper(null), []);
  const title = `Time map of ${line.name}: ${moment.name}`;
  const stepZoom = (by: 1 | -1): void => {
    const next = by === 1 ? zooms.find((each) => each > zoom) : zooms.findLast((each) => each < zoom);
    if (next) setZoom(next);
  };
  const picture = { layout, attendant, names, title, shares };
  return (
    <Flex direction="column" h="100%" minH="0">
      <Flex align="center" gap="2" px="6" pt="4" pb="1" wrap="wrap">
        <Text as="h1" fontSize="20px" fontWeight="600" mr="2">
          Time map
        </Text>
        {moment.control}
        <Button
          size="xs"
          variant={isByCalls ? 'subtle' : 'outline'}
          bg={isByCalls ? undefined : 'sheet'}
          aria-pressed={isByCalls}
          title="The more callers went a way in the last four weeks, the thicker it is drawn"
          onClick={() => setByCalls(!isByCalls)}
        >
          <ChartBar size={13} aria-hidden /> Show calls
        </Button>
        <Flex ml="auto" gap="1">
          <Button
            size="xs"
            variant="outline"
            bg="sheet"
            aria-label="Zoom out"
            title="Zoom out (−)"
            onClick={() => stepZoom(-1)}
          >
            <ZoomOut size={14} />
          </Button>
          <Button
            size="xs"
            variant="outline"
            bg="sheet"
            aria-label="Zoom in"
            title="Zoom in (+)"
            onClick={() => stepZoom(1)}
          >
            <ZoomIn size={14} />
          </Button>
          <Button size="xs" variant="outline" bg="sheet" title="All of it (0)" onClick={() => setZoom(null)}>
            <Maximize2 size={13} aria-hidden /> Fit
          </Button>
          <SaveAs
            onSvg={() => void saveSvg(picture)}
            onPng={() => void savePng(picture).catch((error: unknown) => tellProblem(wordsOf(error)))}
            onPrint={setPaper}
          />
        </Flex>
      </Flex>
      <Summary ways={found.ways} isCut={found.isCut} left={lengths.left} />
      <MapView frame={frame} layout={layout} shares={shares} onZoom={stepZoom} onFit={() => setZoom(null)} />
      {paper && (
        <PrintSheets
          paper={paper}
          ways={found.ways}
          attendant={attendant}
          names={names}
          title={title}
          onDone={donePrinting}
        />
      )}
    </Flex>
  );
}

/** The pretended moment: now, one at which something else answers, or any. */
function useMoment() {
  const { attendant, hours, line, names, switched } = useDraft();
  const now = useNow(60_000);
  const [reading, setReading] = useState<string | null>(null);
  const moments = useMemo(
    () => callMoments(attendant, hours, line.timeZone, names, now, switched),
    [attendant, hours, line.timeZone, names, now, switched],
  );
  const known = moments.find((moment) => moment.reading === reading);
  const control = (
    <>
      <InlineSelect
        label="The moment of the call"
        value={known ? (reading ?? 'now') : 'other'}
        choices={[
          ...moments.map((moment) => ({ value: moment.reading ?? 'now', label: moment.name })),
          ...(known ? [] : [{ value: 'other', label: 'another moment' }]),
        ]}
        onChange={(value) => value !== 'other' && setReading(value === 'now' ? null : value)}
      />
      <MomentField
        label="Date and time of the call, by the line’s clock"
        value={reading ?? ''}
        onChange={(value) => setReading(value || null)}
      />
    </>
  );
  return {
    atMs: momentMs(reading, line.timeZone, now),
    name: known?.name ?? (reading ?? '').replace('T', ' '),
    control,
  };
}

/** The zoom at which the longest way just fits. */
function useFit(frame: RefObject<HTMLDivElement | null>, ways: readonly Way[]): number {
  const [width, setWidth] = useState(700);
  useEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    // While something else is printed the map is hidden, and has no width.
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) setWidth(entry.contentRect.width);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [frame]);
  const seconds = ways.reduce((last, { endMs }) => Math.max(last, endMs), 1000) / 1000;
  return Math.max(0.5, (width - labelPx - 210) / seconds);
}

function Summary({
  ways,
  isCut,
  left,
}: {
  readonly ways: readonly Way[];
  readonly isCut: boolean;
  readonly left: number;
}) {
  const summary = summaryOf(ways);
  return (
    <Text px="6" pb="2" color="quiet">
      {summary
        ? `At best it rings somebody after ${showLength(summary.soonestMs)}, for those who know the keys; at worst after ${showLength(summary.latestMs)}. `
        : 'Nobody is rung at this moment. '}
      {summary && summary.withoutPerson > 0 && `${summary.withoutPerson} of ${summary.ends} ends reach nobody. `}
      {isCut && 'There are more ways than can be drawn. '}
      {left > 0 && <span role="status">Seconds of {left} sentences are estimates until they have been spoken.</span>}
    </Text>
  );
}

interface ViewProps {
  readonly frame: RefObject<HTMLDivElement | null>;
  readonly layout: ReturnType<typeof layOut>;
  readonly shares: ReadonlyMap<number, number> | undefined;
  readonly onZoom: (by: 1 | -1) => void;
  readonly onFit: () => void;
}

/** The drawing, with names that stay at the left; arrows go through the ways, Enter opens the one that is marked. */
function MapView({ frame, layout, shares, onZoom, onFit }: ViewProps) {
  const { attendant, names } = useDraft();
  const navigate = useNavigate();
  const [marked, setMarked] = useState(0);
  const row = layout.rows[Math.min(marked, layout.rows.length - 1)];
  const open = useCallback((each: Row): void => void navigate(slotLink(each.way.slot)), [navigate]);
  const mark = (next: number): void => {
    const index = Math.max(0, Math.min(next, layout.rows.length - 1));
    setMarked(index);
    const element = frame.current;
    if (!element) return;
    const top = index * rowPx;
    const lowest = top + 3 * rowPx - element.clientHeight;
    if (top < element.scrollTop) element.scrollTo({ top });
    else if (lowest > element.scrollTop) element.scrollTo({ top: lowest });
  };
  const acts: Readonly<Record<string, () => void>> = {
    ArrowDown: () => mark(marked + 1),
    ArrowUp: () => mark(marked - 1),
    ArrowRight: () => frame.current?.scrollBy({ left: 80 }),
    ArrowLeft: () => frame.current?.scrollBy({ left: -80 }),
    Home: () => mark(0),
    End: () => mark(layout.rows.length - 1),
    Enter: () => row && open(row),
    '+': () => onZoom(1),
    '=': () => onZoom(1),
    '-': () => onZoom(-1),
    '0': onFit,
  };
  const height = drawingHeight(layout.rows.length);
  const pan = usePan(frame);
  return (
    <>
      <Box
        ref={frame}
        role="application"
        aria-label="Time map: arrows go through the ways, Enter opens one, plus and minus zoom"
        aria-describedby="marked-way"
        tabIndex={0}
        flex="1"
        minH="0"
        overflow="auto"
        bg="sheet"
        borderTopWidth="1px"
        borderColor="hairline"
        onKeyDown={(event) => {
          const act = event.ctrlKey || event.metaKey || event.altKey ? undefined : acts[event.key];
          if (!act) return;
          event.preventDefault();
          event.stopPropagation();
          act();
        }}
        {...pan}
      >
        <Flex w={`${labelPx + layout.width}px`} minW="100%">
          <Box position="sticky" left="0" zIndex="1" bg="sheet" flexShrink="0">
            <svg width={labelPx} height={height} role="presentation">
              <MapLabels
                layout={layout}
                attendant={attendant}
                colours={screenColours}
                marked={row?.way.index}
                onRow={open}
              />
            </svg>
          </Box>
          <svg width={layout.width} height={height} role="presentation" style={{ flexShrink: 0 }}>
            <MapDrawing
              layout={layout}
              shares={shares}
              attendant={attendant}
              names={names}
              colours={screenColours}
              marked={row?.way.index}
              onRow={open}
            />
          </svg>
        </Flex>
      </Box>
      <Text id="marked-way" role="status" px="6" py="1.5" fontSize="13px" borderTopWidth="1px" borderColor="hairline">
        {row ? rowTitle(row, attendant, names) : 'Nothing answers at this moment.'}
      </Text>
    </>
  );
}

/** Pulling the drawing moves it. */
function usePan(frame: RefObject<HTMLDivElement | null>) {
  const from = useRef<{ x: number; y: number; left: number; top: number } | null>(null);
  return {
    onPointerDown: (event: PointerEvent) => {
      const element = frame.current;
      if (event.button !== 0 || event.pointerType !== 'mouse' || !element) return;
      from.current = { x: event.clientX, y: event.clientY, left: element.scrollLeft, top: element.scrollTop };
    },
    onPointerMove: (event: PointerEvent) => {
      const element = frame.current;
      if (!from.current || !element || event.buttons !== 1) return;
      const { x, y, left, top } = from.current;
      element.scrollTo({ left: left - (event.clientX - x), top: top - (event.clientY - y) });
    },
    onPointerUp: () => {
      from.current = null;
    },
  };
}

interface SaveProps {
  readonly onSvg: () => void;
  readonly onPng: () => void;
  readonly onPrint: (paper: Paper) => void;
}

function SaveAs({ onSvg, onPng, onPrint }: SaveProps) {
  return (
    <Menu.Root>
      <Menu.Trigger asChild>
        <Button size="xs" variant="outline" bg="sheet">
          <Download size={13} aria-hidden /> Save or print
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            <Menu.Item value="svg" onSelect={onSvg}>
              Drawing (SVG)
            </Menu.Item>
            <Menu.Item value="png" onSelect={onPng}>
              Picture (PNG)
            </Menu.Item>
            <Menu.Separator />
            <Menu.Item value="a4" onSelect={() => onPrint('A4')}>
              Print on A4
            </Menu.Item>
            <Menu.Item value="letter" onSelect={() => onPrint('Letter')}>
              Print on Letter
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
