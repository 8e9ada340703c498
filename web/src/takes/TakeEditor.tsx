import { Box, Button, Flex, Menu, Portal, Text, chakra } from '@chakra-ui/react';
import { lineLoudness, polishStageWords, soundFaultWords, type PolishStage, type Recipe } from '@locutor/core/audio';
import { Download, Play, Scissors, Square, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useSWRConfig } from 'swr';
import { wordsOf } from '../api/client';
import { loadAudio, playPcm } from '../handset/sounds';
import { tellProblem } from '../parts/notices';
import { polishTake, type Work } from './upload';
import { takesPath, type KeptTake } from './useTakes';
import { showSeconds, Waveform, type Marked } from './Waveform';

const Check = chakra('input', { base: { accentColor: 'petrol.solid', width: '15px', height: '15px', mr: '6px' } });

const steps = [
  { name: 'trim', label: 'Take silence off both ends' },
  { name: 'sameLoudness', label: 'As loud as every greeting' },
  { name: 'lessNoise', label: 'Take noise away where it helps' },
  { name: 'fades', label: 'Begin and end softly' },
] as const;
const pauseMs = 500;

/** A recording before and after it was made good: what was done, each step to be turned off, and cutting on the wave. */
export function TakeEditor({ take }: { readonly take: KeptTake }) {
  const { mutate } = useSWRConfig();
  const [selected, setSelected] = useState<Marked | null>(null);
  const [stage, setStage] = useState<PolishStage | null>(null);
  const work = useRef<Work<KeptTake> | null>(null);
  // What is asked for shows at once; the sound follows.
  const [wanted, setWanted] = useState<Recipe | null>(null);
  const recipe = wanted ?? take.recipe;
  const change = async (changes: Partial<Recipe>): Promise<void> => {
    work.current?.cancel();
    const asked = { ...recipe, ...changes };
    setWanted(asked);
    const next = polishTake(take.id, asked, setStage);
    work.current = next;
    try {
      await next.done;
      await mutate(takesPath);
      setSelected(null);
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) tellProblem(wordsOf(error));
    } finally {
      setStage(null);
      if (work.current === next) setWanted(null);
    }
  };
  const isChosen = selected !== null && selected.toMs > selected.fromMs;
  const isCut = recipe.cuts.length + recipe.pauses.length > 0;
  return (
    <Box mt="3">
      {take.faults.map((fault) => (
        <Text key={fault} role="alert" fontSize="13px" fontWeight="500" mb="1">
          {soundFaultWords[fault]}
        </Text>
      ))}
      <Heard title="As it was recorded" audioId={take.recordingId} lufs={take.made.before.lufs}>
        <Waveform
          audioId={take.recordingId}
          label="As it was recorded: choose a stretch to cut"
          cuts={recipe.cuts}
          pausesAtMs={recipe.pauses.map(({ atMs }) => atMs)}
          selected={selected}
          onSelect={setSelected}
        />
      </Heard>
      <Flex mt="1.5" gap="2" wrap="wrap" align="center" minH="28px" fontSize="13px">
        {!selected && !isCut && <Text color="quiet">Drag over the wave to cut something out or keep only that.</Text>}
        {isChosen && (
          <>
            <Button size="xs" variant="outline" onClick={() => void change({ cuts: [...recipe.cuts, selected] })}>
              <Scissors size={13} aria-hidden /> Cut {showSeconds(selected.toMs - selected.fromMs)} out
            </Button>
            <Button size="xs" variant="outline" onClick={() => void change({ cuts: allBut(selected, take) })}>
              Keep only this
            </Button>
          </>
        )}
        {selected && !isChosen && (
          <Button
            size="xs"
            variant="outline"
            onClick={() => void change({ pauses: [...recipe.pauses, { atMs: selected.fromMs, ms: pauseMs }] })}
          >
            Put a pause of {showSeconds(pauseMs)} in at {showSeconds(selected.fromMs)}
          </Button>
        )}
        {isCut && (
          <Button size="xs" variant="ghost" onClick={() => void change({ cuts: [], pauses: [] })}>
            <Undo2 size={13} aria-hidden /> Undo all cuts and pauses
          </Button>
        )}
      </Flex>
      <Heard title="As callers hear it" audioId={take.audioId} lufs={take.made.after.lufs}>
        <Waveform audioId={take.audioId} label="As callers hear it" />
      </Heard>
      <Flex mt="2" columnGap="4" rowGap="1" wrap="wrap" fontSize="13px">
        {steps.map(({ name, label }) => (
          <label key={name} style={{ display: 'flex', alignItems: 'center' }}>
            <Check
              type="checkbox"
              checked={recipe[name]}
              onChange={(event) => void change({ [name]: event.currentTarget.checked })}
            />
            {label}
          </label>
        ))}
      </Flex>
      <Flex mt="2" gap="2" align="center" wrap="wrap" fontSize="13px">
        <Text color="quiet" flex="1" minW="200px">
          {stage ? `${polishStageWords[stage]} …` : describeMade(take)}
        </Text>
        {stage && (
          <Button size="xs" variant="outline" onClick={() => work.current?.cancel()}>
            Cancel
          </Button>
        )}
        <Downloads take={take} isBeingMade={wanted !== null} />
      </Flex>
    </Box>
  );
}

/** Everything but a stretch, as cuts. */
function allBut({ fromMs, toMs }: Marked, { made, recipe }: KeptTake): Recipe['cuts'] {
  const endMs = made.before.lengthMs;
  return [...recipe.cuts, { fromMs: 0, toMs: fromMs }, { fromMs: toMs, toMs: endMs }].filter(
    (cut) => cut.toMs - cut.fromMs > 1,
  );
}

function describeMade({ made, recipe }: KeptTake): string {
  const [start, end] = made.trimmedMs;
  const parts = [
    ...(start + end > 50 ? [`${showSeconds(start + end)} of silence taken off`] : []),
    ...(Math.abs(made.gainDb) >= 0.5
      ? [`${Math.abs(made.gainDb).toFixed(0)} dB ${made.gainDb > 0 ? 'louder' : 'quieter'}`]
      : []),
    ...(made.noiseTaken ? ['noise taken away'] : recipe.lessNoise ? ['no noise to take away'] : []),
  ];
  const text = parts.join(', ');
  return text ? `${text.charAt(0).toUpperCase()}${text.slice(1)}.` : 'Left as it is.';
}

/** Loudness as in ITU-R BS.1770, or that there is none. */
export function showLoudness(lufs: number): string {
  return lufs < -100 ? 'silent' : `${lufs.toFixed(0).replace('-', '−')} LUFS`;
}

interface HeardProps {
  readonly title: string;
  readonly audioId: string;
  readonly lufs: number;
  readonly children: React.ReactNode;
}

function Heard({ title, audioId, lufs, children }: HeardProps) {
  const stop = useRef<(() => void) | null>(null);
  const [isPlaying, setPlaying] = useState(false);
  useEffect(() => () => stop.current?.(), []);
  const end = (): void => {
    stop.current?.();
    stop.current = null;
    setPlaying(false);
  };
  const toggle = async (): Promise<void> => {
    if (isPlaying) return end();
    try {
      const pcm = await loadAudio(audioId);
      setPlaying(true);
      const stopSound = playPcm(pcm);
      const timer = setTimeout(end, (pcm.samples.length / pcm.rateHz) * 1000);
      stop.current = () => {
        clearTimeout(timer);
        stopSound();
      };
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const Icon = isPlaying ? Square : Play;
  return (
    <Box mt="2">
      <Flex align="center" gap="2" mb="1" fontSize="12.5px">
        <Button size="2xs" variant="outline" bg="sheet" h="24px" onClick={() => void toggle()}>
          <Icon size={12} aria-hidden /> {title}
        </Button>
        <Text
          color="quiet"
          title={`Loudness (ITU-R BS.1770); everything on the line is brought to ${lineLoudness.lufs} LUFS`}
        >
          <Text as="span" fontFamily="mono">
            {showLoudness(lufs)}
          </Text>
        </Text>
      </Flex>
      {children}
    </Box>
  );
}

const formats = [
  ['wav', 'WAV, 16 bits'],
  ['asOnPhone', 'WAV, as on the phone (300 to 3400 Hz)'],
  ['muLawWav', 'G.711 mu-law in WAV'],
  ['aLawWav', 'G.711 A-law in WAV'],
  ['muLaw', 'G.711 mu-law, bare'],
  ['aLaw', 'G.711 A-law, bare'],
  ['au', 'AU'],
] as const;

/** Not while it is being made anew: what came would be the recording as it was before. */
function Downloads({ take, isBeingMade }: { readonly take: KeptTake; readonly isBeingMade: boolean }) {
  const get = (path: string): void => {
    const link = document.createElement('a');
    link.href = `${takesPath}/${take.id}/${path}`;
    link.download = '';
    link.click();
  };
  return (
    <Menu.Root onSelect={({ value }) => get(value)} lazyMount>
      <Menu.Trigger asChild>
        <Button size="xs" variant="outline" bg="sheet" disabled={isBeingMade}>
          <Download size={13} aria-hidden /> Download
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {formats.map(([as, label]) => (
              <Menu.Item key={as} value={`download?as=${as}`}>
                {label}
              </Menu.Item>
            ))}
            <Menu.Separator />
            <Menu.Item value="original">As it came</Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
