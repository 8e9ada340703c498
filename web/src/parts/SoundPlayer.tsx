import { Flex, IconButton, Text, chakra } from '@chakra-ui/react';
import { writeWav } from '@locutor/core/audio';
import { Pause, Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { wordsOf } from '../api/client';
import { loadAudio } from '../handset/sounds';
import { InlineSelect } from './InlineSelect';
import { tellProblem } from './notices';
import { showLength } from './time';

interface Props {
  readonly audioId: string;
  readonly lengthMs: number;
  /** What is played, for screen readers. */
  readonly label: string;
  /** It was heard to its end. */
  readonly onPlayed?: () => void;
}

const speeds = ['0.75', '1', '1.25', '1.5', '2'] as const;
const Slider = chakra('input', { base: { accentColor: 'petrol.solid', minWidth: '60px', flex: 1, height: '24px' } });

/** Plays a kept sound: from any position, slower or faster without changing the voice. */
export function SoundPlayer({ audioId, lengthMs, label, onPlayed }: Props) {
  const audio = useRef<HTMLAudioElement | null>(null);
  const [isPlaying, setPlaying] = useState(false);
  const [atMs, setAtMs] = useState(0);
  const [speed, setSpeed] = useState('1');
  useEffect(
    () => () => {
      audio.current?.pause();
      if (audio.current) URL.revokeObjectURL(audio.current.src);
    },
    [],
  );

  const load = async (): Promise<HTMLAudioElement> => {
    if (audio.current) return audio.current;
    // Written again as plain PCM, which every browser plays.
    const wav = writeWav(await loadAudio(audioId)) as Uint8Array<ArrayBuffer>;
    const element = new Audio(URL.createObjectURL(new Blob([wav], { type: 'audio/wav' })));
    element.ontimeupdate = () => setAtMs(element.currentTime * 1000);
    element.onended = () => {
      setPlaying(false);
      setAtMs(0);
      onPlayed?.();
    };
    audio.current = element;
    return element;
  };
  const toggle = async (): Promise<void> => {
    try {
      const element = await load();
      if (isPlaying) element.pause();
      else {
        element.playbackRate = Number(speed);
        await element.play();
      }
      setPlaying(!isPlaying);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const seek = async (ms: number): Promise<void> => {
    setAtMs(ms);
    const element = await load();
    element.currentTime = ms / 1000;
  };
  const setRate = (next: string): void => {
    setSpeed(next);
    if (audio.current) audio.current.playbackRate = Number(next);
  };

  return (
    <Flex align="center" gap="2" minW="230px">
      <IconButton
        size="sm"
        variant="outline"
        bg="sheet"
        borderRadius="full"
        aria-label={isPlaying ? 'Pause' : 'Play'}
        onClick={() => void toggle()}
      >
        {isPlaying ? <Pause size={14} /> : <Play size={14} />}
      </IconButton>
      <Slider
        type="range"
        min={0}
        max={lengthMs}
        step={100}
        value={Math.min(atMs, lengthMs)}
        aria-label={`Position in ${label}`}
        aria-valuetext={showLength(atMs)}
        onChange={(event) => void seek(Number(event.currentTarget.value))}
      />
      <Text as="span" fontFamily="mono" fontSize="12.5px" whiteSpace="nowrap">
        {showLength(isPlaying || atMs > 0 ? atMs : lengthMs)}
      </Text>
      <InlineSelect
        label={`Speed of ${label}`}
        value={speed}
        choices={speeds.map((value) => ({ value, label: `${value} ×` }))}
        onChange={setRate}
      />
    </Flex>
  );
}
