import { Button } from '@chakra-ui/react';
import type { Sentence } from '@locutor/core/speech';
import { Square, Volume2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { playItems } from '../handset/speaker';
import { tellProblem } from './notices';
import type { Heard } from './heard';

interface Props {
  readonly sentences: readonly Sentence[];
  readonly label?: string;
  /** Told which sentence is being heard; null at the end. */
  readonly onHeard?: (heard: Heard | null) => void;
}

/** Plays sentences as the telephone carries them; pressed again, stops. While a voice still speaks them, says how far it is. */
export function Listen({ sentences, label = 'Listen', onHeard }: Props) {
  const stop = useRef<(() => void) | null>(null);
  const [state, setState] = useState<'silent' | 'playing' | { readonly ready: number }>('silent');
  const end = (): void => {
    stop.current?.();
    stop.current = null;
    setState('silent');
    onHeard?.(null);
  };
  useEffect(() => () => stop.current?.(), []);
  const start = (): void => {
    setState({ ready: 0 });
    const items = sentences.map((sentence) => ({ type: 'sentence' as const, sentence }));
    stop.current = playItems(items, {
      onLoaded: (ready) => setState((now) => (typeof now === 'object' ? { ready } : now)),
      onItem: (index, ms) => {
        setState('playing');
        onHeard?.({ index, sinceMs: Date.now(), ms });
      },
      onEnd: end,
      onMute: () => tellProblem('The voice cannot be had just now. Try again in a moment.'),
    });
  };
  const isPlaying = state !== 'silent';
  const Icon = isPlaying ? Square : Volume2;
  const isLong = sentences.length > 3;
  const shown =
    typeof state === 'object' && isLong
      ? `Stop: voice at ${state.ready} of ${sentences.length}`
      : isPlaying
        ? 'Stop'
        : label;
  return (
    <Button size="sm" variant="outline" bg="sheet" disabled={sentences.length === 0} onClick={isPlaying ? end : start}>
      <Icon size={14} aria-hidden /> {shown}
    </Button>
  );
}
