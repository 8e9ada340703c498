import { Button } from '@chakra-ui/react';
import type { Sentence } from '@locutor/core/speech';
import { Square, Volume2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { playItems } from '../handset/speaker';
import { tellProblem } from './notices';

interface Props {
  readonly sentences: readonly Sentence[];
  readonly label?: string;
  /** Told which sentence is being heard; null at the end. */
  readonly onSentence?: (index: number | null) => void;
}

/** Plays sentences as the telephone carries them; pressed again, stops. */
export function Listen({ sentences, label = 'Listen', onSentence }: Props) {
  const stop = useRef<(() => void) | null>(null);
  const [isPlaying, setPlaying] = useState(false);
  const end = (): void => {
    stop.current?.();
    stop.current = null;
    setPlaying(false);
    onSentence?.(null);
  };
  useEffect(() => () => stop.current?.(), []);
  const start = (): void => {
    setPlaying(true);
    const items = sentences.map((sentence) => ({ type: 'sentence' as const, sentence }));
    const onMute = (): void => tellProblem('The voice cannot be had just now. Try again in a moment.');
    stop.current = playItems(items, { onItem: (index) => onSentence?.(index), onEnd: end, onMute });
  };
  const Icon = isPlaying ? Square : Volume2;
  return (
    <Button size="sm" variant="outline" bg="sheet" disabled={sentences.length === 0} onClick={isPlaying ? end : start}>
      <Icon size={14} aria-hidden /> {isPlaying ? 'Stop' : label}
    </Button>
  );
}
