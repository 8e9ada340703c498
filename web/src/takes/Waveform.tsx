import { Box, Text } from '@chakra-ui/react';
import type { Pcm } from '@locutor/core/audio';
import { useEffect, useId, useRef, useState } from 'react';
import { loadAudio } from '../handset/sounds';
import { showLength } from '../parts/time';

/** A stretch of a sound that is marked, in ms. */
export interface Marked {
  readonly fromMs: number;
  readonly toMs: number;
}

interface Props {
  readonly audioId: string;
  readonly label: string;
  readonly height?: number;
  /** What is left out is drawn pale. */
  readonly cuts?: readonly Marked[];
  readonly pausesAtMs?: readonly number[];
  readonly selected?: Marked | null;
  readonly playedMs?: number | null;
  readonly onSelect?: (selected: Marked) => void;
}

interface Drawn {
  readonly columns: { readonly low: Float32Array; readonly high: Float32Array };
  readonly lengthMs: number;
}

const known = new Map<string, Promise<Drawn>>();
const columnsDrawn = 600;

/** Computes a waveform away from the page, once for each sound. */
function drawnOf(audioId: string): Promise<Drawn> {
  let drawn = known.get(audioId);
  if (!drawn) {
    drawn = loadAudio(audioId).then(inWorker);
    drawn.catch(() => known.delete(audioId));
    known.set(audioId, drawn);
  }
  return drawn;
}

function inWorker(pcm: Pcm): Promise<Drawn> {
  const worker = new Worker(new URL('../workers/waveform.worker.ts', import.meta.url), { type: 'module' });
  const lengthMs = (pcm.samples.length / pcm.rateHz) * 1000;
  return new Promise((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Drawn['columns']>) => {
      resolve({ columns: data, lengthMs });
      worker.terminate();
    };
    worker.onerror = () => reject(new Error('The sound could not be drawn.'));
    worker.postMessage({ pcm, columns: columnsDrawn });
  });
}

/** A sound as its wave; a stretch of it can be chosen with the pointer or with the arrow keys. */
export function Waveform(props: Props) {
  const { audioId, label, height = 64, cuts = [], pausesAtMs = [], selected, playedMs, onSelect } = props;
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const dragFrom = useRef<number | null>(null);
  const clip = useId();
  useEffect(() => {
    let isGone = false;
    drawnOf(audioId).then(
      (now) => !isGone && setDrawn(now),
      () => !isGone && setDrawn(null),
    );
    return () => {
      isGone = true;
    };
  }, [audioId]);

  const lengthMs = drawn?.lengthMs ?? 1;
  const msAt = (clientX: number): number => {
    const box = frame.current?.getBoundingClientRect();
    return box ? Math.round(Math.max(0, Math.min(1, (clientX - box.left) / box.width)) * lengthMs) : 0;
  };
  const select = (one: number, other: number): void =>
    onSelect?.({ fromMs: Math.min(one, other), toMs: Math.max(one, other) });
  const nudge = (event: React.KeyboardEvent): void => {
    if (!onSelect || (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight')) return;
    event.preventDefault();
    const by = event.key === 'ArrowRight' ? 100 : -100;
    const now = selected ?? { fromMs: 0, toMs: 0 };
    const held = (ms: number): number => Math.max(0, Math.min(lengthMs, ms));
    // With Shift the end moves, without it the whole stretch does.
    if (event.shiftKey) select(now.fromMs, held(now.toMs + by));
    else select(held(now.fromMs + by), held(now.toMs + by));
  };
  const x = (ms: number): number => (ms / lengthMs) * columnsDrawn;

  return (
    <Box
      ref={frame}
      role={onSelect ? 'slider' : 'img'}
      aria-label={label}
      {...(onSelect && {
        tabIndex: 0,
        'aria-valuemin': 0,
        'aria-valuemax': Math.round(lengthMs),
        'aria-valuenow': Math.round(selected?.fromMs ?? 0),
        'aria-valuetext': selected
          ? `${showSeconds(selected.fromMs)} to ${showSeconds(selected.toMs)}`
          : 'Nothing chosen',
        onKeyDown: nudge,
        onPointerDown: (event: React.PointerEvent<HTMLDivElement>) => {
          dragFrom.current = msAt(event.clientX);
          event.currentTarget.setPointerCapture(event.pointerId);
          select(dragFrom.current, dragFrom.current);
        },
        onPointerMove: (event: React.PointerEvent) => {
          if (dragFrom.current !== null) select(dragFrom.current, msAt(event.clientX));
        },
        onPointerUp: () => (dragFrom.current = null),
        cursor: 'text',
        touchAction: 'none',
      })}
      position="relative"
      bg="sunk"
      borderRadius="sm"
      overflow="hidden"
      h={`${height}px`}
      color="petrol.fg"
    >
      {drawn && (
        <svg viewBox={`0 -1 ${columnsDrawn} 2`} preserveAspectRatio="none" width="100%" height="100%" aria-hidden>
          <clipPath id={clip}>
            <rect x={0} y={-1} width={columnsDrawn} height={2} />
          </clipPath>
          <path d={pathOf(drawn.columns)} fill="currentColor" clipPath={`url(#${clip})`} />
          {cuts.map(({ fromMs, toMs }) => (
            <Shade key={`${fromMs}-${toMs}`} x={x(fromMs)} width={x(toMs - fromMs)} opacity={0.75} fill="sunk" />
          ))}
          {selected && (
            <Shade
              x={x(selected.fromMs)}
              width={Math.max(1.5, x(selected.toMs - selected.fromMs))}
              opacity={0.3}
              fill="petrol.solid"
            />
          )}
          {pausesAtMs.map((ms) => (
            <Shade key={ms} x={x(ms) - 1} width={2} opacity={1} fill="ink" />
          ))}
          {playedMs != null && <Shade x={x(playedMs)} width={1.5} opacity={1} fill="ink" />}
        </svg>
      )}
      {drawn && height >= 40 && (
        <Text position="absolute" right="1.5" bottom="0.5" fontFamily="mono" fontSize="11px" color="quiet">
          {showLength(drawn.lengthMs)}
        </Text>
      )}
    </Box>
  );
}

function Shade(props: { readonly x: number; readonly width: number; readonly opacity: number; readonly fill: string }) {
  const { x, width, opacity, fill } = props;
  return (
    <Box asChild css={{ fill }}>
      <rect x={x} y={-1} width={Math.max(0, width)} height={2} opacity={opacity} />
    </Box>
  );
}

function pathOf({ low, high }: Drawn['columns']): string {
  const least = 0.012;
  const top = [...high].map((value, at) => `${at} ${-Math.max(value, least)}`);
  const bottom = [...low].map((value, at) => `${at} ${-Math.min(value, -least)}`).reverse();
  return `M${top.join('L')}L${bottom.join('L')}Z`;
}

export function showSeconds(ms: number): string {
  return `${(ms / 1000).toFixed(1)} s`;
}
