import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  asOnPhone,
  lengthMs,
  lineLoudness,
  measure,
  soundFaults,
  soundFaultWords,
  trimEnds,
  withGain,
  writeWav,
  type Pcm,
} from '@locutor/core/audio';
import type { Language } from '@locutor/core/line';
import { estimateMs, splitSentences, type Sentence } from '@locutor/core/speech';
import { Mic, Play, RotateCcw, Square } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { playPcm } from '../handset/sounds';
import { playItems } from '../handset/speaker';
import { record, type MicrophoneProblem, type Recording } from '../handset/microphone';
import { useNow } from '../parts/useNow';
import { showLength } from '../parts/time';

interface Props {
  /** What is to be said, as text. */
  readonly text: string;
  readonly language: Language;
  /** What is heard before and after it, where it is joined with other parts. */
  readonly around?: Around;
  readonly onKeep: (file: Blob) => void;
  readonly onClose: () => void;
}

/** What callers hear right before and after a recording. */
export interface Around {
  readonly before: readonly Sentence[];
  readonly after: readonly Sentence[];
  /** Silence after the recording, in ms. */
  readonly pauseMs: number;
}

type Phase =
  | { readonly type: 'ready' }
  | { readonly type: 'countIn'; readonly fromMs: number }
  | { readonly type: 'recording'; readonly fromMs: number }
  | { readonly type: 'done'; readonly pcm: Pcm };

const countInMs = 3000;
const quietestDb = -60;
const problemWords: Readonly<Record<MicrophoneProblem, string>> = {
  refused:
    'The browser does not let Locutor use the microphone. Allow it at the left of the address, then press Record again.',
  missing: 'No microphone was found. Plug one in, or record by phone or bring a file instead.',
};

/** Records at this computer: a count-in, the words to read at their pace, a level meter, and listening before keeping. */
export function Recorder({ text, language, around, onKeep, onClose }: Props) {
  const [phase, setPhase] = useState<Phase>({ type: 'ready' });
  const [level, setLevel] = useState(-Infinity);
  const [problem, setProblem] = useState<string | null>(null);
  const recording = useRef<Recording | null>(null);
  const stopSound = useRef<(() => void) | null>(null);
  const now = useNow(phase.type === 'recording' || phase.type === 'countIn' ? 100 : 10_000);

  useEffect(
    () => () => {
      recording.current?.discard();
      stopSound.current?.();
    },
    [],
  );
  useEffect(() => {
    if (phase.type !== 'countIn') return undefined;
    const timer = setTimeout(() => {
      setPhase({ type: 'recording', fromMs: Date.now() });
      recording.current = record({
        onLevel: setLevel,
        onProblem: (what) => {
          recording.current?.discard();
          recording.current = null;
          setProblem(problemWords[what]);
          setPhase({ type: 'ready' });
        },
      });
    }, countInMs);
    return () => clearTimeout(timer);
  }, [phase]);

  const begin = (): void => {
    stopSound.current?.();
    setProblem(null);
    setLevel(-Infinity);
    setPhase({ type: 'countIn', fromMs: Date.now() });
  };
  const stop = (): void => {
    const pcm = recording.current?.stop() ?? null;
    recording.current = null;
    if (pcm) setPhase({ type: 'done', pcm });
    else {
      setProblem('Nothing came from the microphone. Check that it is switched on, then record again.');
      setPhase({ type: 'ready' });
    }
  };
  const elapsed = phase.type === 'recording' ? now - phase.fromMs : 0;
  const left = phase.type === 'countIn' ? Math.max(1, Math.ceil((phase.fromMs + countInMs - now) / 1000)) : 0;

  return (
    <Box
      role="region"
      aria-label="Recorder"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      p="3"
      bg="paper"
    >
      <Prompter text={text} language={language} atMs={phase.type === 'recording' ? elapsed : null} />
      {phase.type === 'recording' && <Meter level={level} />}
      {problem && (
        <Text role="alert" fontSize="13px" fontWeight="500" mt="2">
          {problem}
        </Text>
      )}
      {phase.type === 'done' && <Faults pcm={phase.pcm} />}
      <Flex mt="3" gap="2" align="center" wrap="wrap">
        {phase.type === 'ready' && (
          <Button size="sm" colorPalette="petrol" onClick={begin}>
            <Mic size={14} aria-hidden /> Record
          </Button>
        )}
        {phase.type === 'countIn' && (
          <Text fontFamily="mono" fontSize="22px" aria-live="assertive">
            {left}
          </Text>
        )}
        {phase.type === 'recording' && (
          <>
            <Button size="sm" colorPalette="petrol" onClick={stop} autoFocus>
              <Square size={14} aria-hidden /> Stop
            </Button>
            <Text role="timer" aria-label="Length of the recording" fontFamily="mono">
              {showLength(elapsed)}
            </Text>
          </>
        )}
        {phase.type === 'done' && (
          <>
            <Button size="sm" colorPalette="petrol" onClick={() => onKeep(fileOf(phase.pcm))}>
              Keep it
            </Button>
            <Button
              size="sm"
              variant="outline"
              onClick={() => {
                stopSound.current?.();
                stopSound.current = playPcm(phase.pcm);
              }}
            >
              <Play size={14} aria-hidden /> Listen
            </Button>
            {around && around.before.length + around.after.length > 0 && (
              <Button
                size="sm"
                variant="outline"
                title="With what is heard before and after it, and as loud as that"
                onClick={() => {
                  stopSound.current?.();
                  stopSound.current = playJoined(phase.pcm, around);
                }}
              >
                <Play size={14} aria-hidden /> Hear it where it stands
              </Button>
            )}
            <Button size="sm" variant="outline" onClick={begin}>
              <RotateCcw size={14} aria-hidden /> Record again
            </Button>
            <Text fontFamily="mono">{showLength(lengthMs(phase.pcm))}</Text>
          </>
        )}
        <Button size="sm" variant="ghost" ml="auto" onClick={onClose}>
          Close
        </Button>
      </Flex>
    </Box>
  );
}

/** The words to read; the sentence that is due is marked, at the pace of a voice. */
function Prompter({ text, language, atMs }: Pick<Props, 'text' | 'language'> & { readonly atMs: number | null }) {
  const sentences = splitSentences(text, language);
  const marked = useRef<HTMLSpanElement>(null);
  const ends = sentences.reduce<readonly number[]>(
    (so, sentence) => [...so, (so.at(-1) ?? 0) + estimateMs(sentence) * readingPace],
    [],
  );
  const due = atMs === null ? -1 : Math.min(sentences.length - 1, ends.filter((end) => end <= atMs).length);
  useEffect(() => {
    marked.current?.scrollIntoView({ block: 'center', behavior: 'smooth' });
  }, [due]);
  return (
    <Box maxH="150px" overflowY="auto" fontFamily="spoken" fontSize="20px" lineHeight="1.5" aria-label="Read this">
      {sentences.length === 0 && <Text color="quiet">Type the words first, and they stand here to be read.</Text>}
      {sentences.map((sentence, index) => (
        <Box
          as="span"
          key={index}
          ref={index === due ? marked : undefined}
          bg={index === due ? 'petrol.subtle' : undefined}
          color={index < due ? 'quiet' : undefined}
          borderRadius="sm"
        >
          {sentence}{' '}
        </Box>
      ))}
    </Box>
  );
}

/** People read aloud a little slower than a voice speaks. */
const readingPace = 1.15;

function Meter({ level }: { readonly level: number }) {
  const part = Math.max(0, Math.min(1, 1 - level / quietestDb));
  const says = level > -3 ? 'Too loud: step back a little' : level < -42 ? 'Very quiet: come closer' : 'Good';
  return (
    <Flex mt="2" gap="2" align="center">
      <Box
        role="meter"
        aria-label="Level of the microphone"
        aria-valuemin={quietestDb}
        aria-valuemax={0}
        aria-valuenow={Number.isFinite(level) ? Math.round(level) : quietestDb}
        flex="1"
        h="8px"
        bg="sunk"
        borderRadius="full"
        overflow="hidden"
      >
        <Box h="100%" w={`${Math.round(part * 100)}%`} bg="petrol.solid" />
      </Box>
      <Text fontSize="12.5px" color="quiet" w="180px">
        {says}
      </Text>
    </Flex>
  );
}

/** What is wrong with it, before it is kept. */
function Faults({ pcm }: { readonly pcm: Pcm }) {
  const [faults] = useState(() => soundFaults(measure(pcm)));
  return faults.map((fault) => (
    <Text key={fault} role="alert" fontSize="13px" fontWeight="500" mt="2">
      {soundFaultWords[fault]}
    </Text>
  ));
}

function fileOf(pcm: Pcm): Blob {
  return new Blob([writeWav(pcm) as Uint8Array<ArrayBuffer>], { type: 'audio/wav' });
}

/** Plays a recording between what is heard before and after it, as loud as everything on the line, and as a telephone carries it. */
function playJoined(pcm: Pcm, { before, after, pauseMs }: Around): () => void {
  let stop = (): void => undefined;
  let isOver = false;
  const play = (sentences: readonly Sentence[], then: () => void): void => {
    if (isOver) return;
    if (sentences.length === 0) return then();
    const items = sentences.map((sentence) => ({ type: 'sentence' as const, sentence }));
    stop = playItems(items, { onItem: () => undefined, onMute: () => undefined, onEnd: then });
  };
  play(before, () => {
    const { pcm: words } = trimEnds(pcm);
    const { lufs } = measure(words);
    const heard = asOnPhone(withGain(words, Number.isFinite(lufs) ? lineLoudness.lufs - lufs : 0));
    const stopPlaying = playPcm(heard);
    const timer = setTimeout(() => play(after, () => undefined), lengthMs(heard) + pauseMs);
    stop = () => {
      clearTimeout(timer);
      stopPlaying();
    };
  });
  return () => {
    isOver = true;
    stop();
  };
}
