import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { polishStageWords } from '@locutor/core/audio';
import type { Language, TakeSays, TakeUse } from '@locutor/core/line';
import { describeOutOfStep, outOfStep } from '@locutor/core/speech';
import { FileUp, Mic, Phone } from 'lucide-react';
import { useId, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../api/client';
import { tellDone, tellProblem } from '../parts/notices';
import { PhoneRecorder } from './PhoneRecorder';
import { Recorder, type Around } from './Recorder';
import { TakeEditor } from './TakeEditor';
import { TakeSaysNote } from './TakeSaysNote';
import { TakeList } from './TakeList';
import { sendable } from './browserSound';
import { asksLaw, bringTake, type Work } from './upload';
import { takesPath, useTakes, type KeptTake } from './useTakes';

interface Props {
  /** What is recorded, as the server knows it, and as the manager does. */
  readonly place: string;
  readonly name: string;
  /** What is to be said now: as text to read, and to know later whether a recording still says it. */
  readonly text: string;
  readonly language: Language;
  readonly says: TakeSays;
  /** What is heard before and after it, where it is a part of something. */
  readonly around?: Around;
  readonly use: TakeUse | null;
  readonly onUse: (use: TakeUse | null) => void;
}

/** The recordings of something that is spoken: made here or brought, made good, and told when they are out of step. */
export function TakePanel({ place, name, text, language, says, around, use, onUse }: Props) {
  const all = useTakes();
  const { mutate } = useSWRConfig();
  const takes = all.filter((take) => take.place === place || take.id === use?.takeId);
  const used = takes.find(({ id }) => id === use?.takeId);
  const [recorder, setRecorder] = useState<'computer' | 'phone' | null>(null);
  const useNew = async (take: KeptTake): Promise<void> => {
    await mutate(takesPath);
    onUse({ takeId: take.id, byVoice: false });
  };
  const bringing = useBringing({ place, text, says }, useNew);
  const differences = used ? outOfStep(used.says, says) : [];
  const markRight = async (take: KeptTake): Promise<void> => {
    const before = { says: JSON.stringify(take.says), text: take.text, verdict: JSON.stringify(take.verdict) };
    const set = async (body: object): Promise<void> => {
      await api(`${takesPath}/${take.id}`, { method: 'PATCH', body });
      await mutate(takesPath);
    };
    try {
      await set({ says: JSON.stringify(says), text });
      tellDone('The recording is taken to say what is so now.', () => void set(before));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };

  return (
    <Box
      as="section"
      aria-label={`Recording of ${name}`}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        bringing.bringFiles([...event.dataTransfer.files]);
      }}
    >
      <Flex gap="2" wrap="wrap" align="center">
        <Button
          size="sm"
          variant="outline"
          bg="sheet"
          onClick={() => setRecorder('computer')}
          disabled={recorder === 'computer'}
        >
          <Mic size={14} aria-hidden /> {used ? 'Record again' : 'Record it here'}
        </Button>
        <Button
          size="sm"
          variant="outline"
          bg="sheet"
          onClick={() => setRecorder('phone')}
          disabled={recorder === 'phone'}
        >
          <Phone size={14} aria-hidden /> Record by phone
        </Button>
        <FileButton onFiles={bringing.bringFiles} />
        {!used && (
          <Text fontSize="13px" color="quiet">
            The voice says it. A recording would be heard in its place.
          </Text>
        )}
      </Flex>
      {recorder === 'phone' && (
        <PhoneRecorder of={{ place, text, says }} name={name} onTake={useNew} onClose={() => setRecorder(null)} />
      )}
      {recorder === 'computer' && (
        <Box mt="3">
          <Recorder
            text={text}
            language={language}
            {...(around && { around })}
            onClose={() => setRecorder(null)}
            onKeep={(file) => {
              setRecorder(null);
              bringing.bring(file, 'recording.wav', 'microphone');
            }}
          />
        </Box>
      )}
      <BringingState state={bringing.state} onCancel={bringing.cancel} onLaw={bringing.answerLaw} />
      {used && use && differences.length > 0 && (
        <Box role="status" mt="3" p="2.5" bg="sunk" borderRadius="md">
          <Text fontWeight="600" fontSize="13px">
            Out of step
          </Text>
          {differences.map((difference, index) => (
            <Text key={index} fontSize="13px">
              {describeOutOfStep(difference)}
            </Text>
          ))}
          <Flex mt="2" gap="2" wrap="wrap">
            <Button size="xs" colorPalette="petrol" onClick={() => setRecorder('computer')}>
              Record again
            </Button>
            {!use.byVoice && (
              <Button size="xs" variant="outline" onClick={() => onUse({ ...use, byVoice: true })}>
                Use the voice until then
              </Button>
            )}
            <Button size="xs" variant="outline" onClick={() => void markRight(used)}>
              Mark as right
            </Button>
          </Flex>
        </Box>
      )}
      {used && use && (
        <TakeSaysNote
          key={`says ${used.id}`}
          take={used}
          onRecord={() => setRecorder('computer')}
          onVoice={use.byVoice ? null : () => onUse({ ...use, byVoice: true })}
        />
      )}
      {used && use && (
        <Text mt="3" fontSize="13px">
          {use.byVoice ? 'The voice speaks for now; the recording waits. ' : 'Callers hear this recording. '}
          <Button
            size="xs"
            variant="plain"
            p="0"
            h="auto"
            color="petrol.fg"
            textDecoration="underline"
            onClick={() => onUse({ ...use, byVoice: !use.byVoice })}
          >
            {use.byVoice ? 'Use the recording' : 'Let the voice speak'}
          </Button>
        </Text>
      )}
      {used && <TakeEditor key={used.id} take={used} />}
      <TakeList takes={takes} usedId={use?.takeId ?? null} onUse={onUse} />
    </Box>
  );
}

type State =
  | { readonly type: 'idle' }
  | { readonly type: 'working'; readonly says: string }
  | { readonly type: 'law'; readonly says: string }
  | { readonly type: 'refused'; readonly says: readonly string[] };

interface Of {
  readonly place: string;
  readonly text: string;
  readonly says: TakeSays;
}

/** Takes files and recordings in, one after the other, and says how that goes. */
function useBringing(of: Of, onTake: (take: KeptTake) => Promise<void>) {
  const [state, setState] = useState<State>({ type: 'idle' });
  const [work, setWork] = useState<Work<KeptTake> | null>(null);
  const [asked, setAsked] = useState<File | null>(null);

  const one = async (file: Blob, fileName: string, source: 'microphone' | 'file', law?: 'mu' | 'a') => {
    const next = bringTake({ ...of, file, fileName, source, ...(law && { law }) }, (stage) => {
      const says = stage === 'sending' ? 'Sending' : polishStageWords[stage];
      setState({ type: 'working', says: source === 'file' ? `${fileName}: ${says}` : says });
    });
    setWork(next);
    await onTake(await next.done);
  };
  const run = async (files: readonly (() => Promise<void>)[]): Promise<void> => {
    const refused: string[] = [];
    for (const bring of files) {
      try {
        await bring();
      } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') break;
        if (asksLaw(error)) return;
        refused.push(wordsOf(error));
      }
    }
    setWork(null);
    setState(refused.length > 0 ? { type: 'refused', says: refused } : { type: 'idle' });
  };
  const bringFile = async (file: File): Promise<void> => {
    try {
      setState({ type: 'working', says: `${file.name}: Reading` });
      const sent = await sendable(file);
      await one(sent, sent.name, 'file');
    } catch (error) {
      if (asksLaw(error)) {
        setAsked(file);
        setState({ type: 'law', says: wordsOf(error) });
      }
      throw error;
    }
  };
  return {
    state,
    cancel: () => work?.cancel(),
    bring: (file: Blob, fileName: string, source: 'microphone') => void run([() => one(file, fileName, source)]),
    bringFiles: (files: readonly File[]) => void run(files.map((file) => () => bringFile(file))),
    answerLaw: (law: 'mu' | 'a') => {
      if (asked) void run([() => one(asked, asked.name, 'file', law)]);
      setAsked(null);
    },
  };
}

interface StateProps {
  readonly state: State;
  readonly onCancel: () => void;
  readonly onLaw: (law: 'mu' | 'a') => void;
}

function BringingState({ state, onCancel, onLaw }: StateProps) {
  switch (state.type) {
    case 'idle':
      return null;
    case 'working':
      return (
        <Flex role="status" mt="3" gap="3" align="center" fontSize="13px">
          {state.says} …
          <Button size="xs" variant="outline" onClick={onCancel}>
            Cancel
          </Button>
        </Flex>
      );
    case 'law':
      return (
        <Box role="alert" mt="3" fontSize="13px">
          <Text>{state.says}</Text>
          <Flex mt="2" gap="2">
            <Button size="xs" colorPalette="petrol" onClick={() => onLaw('mu')}>
              It is mu-law
            </Button>
            <Button size="xs" variant="outline" onClick={() => onLaw('a')}>
              It is A-law
            </Button>
          </Flex>
        </Box>
      );
    case 'refused':
      return (
        <Box role="alert" mt="3" fontSize="13px" fontWeight="500">
          {state.says.map((says) => (
            <Text key={says}>{says}</Text>
          ))}
        </Box>
      );
  }
}

const kinds = '.wav,.au,.aif,.aiff,.mp3,.m4a,.aac,.ogg,.oga,.opus,.flac,.ul,.ulaw,.al,.alaw,.raw,audio/*';

/** A button that asks for files; several can be brought at once. */
function FileButton({ onFiles }: { readonly onFiles: (files: readonly File[]) => void }) {
  const id = useId();
  return (
    <Button asChild size="sm" variant="outline" bg="sheet" cursor="pointer">
      <label htmlFor={id} title="WAV, AU, MP3, M4A, Ogg, FLAC and bare G.711; files can also be dropped here">
        <FileUp size={14} aria-hidden /> Bring a file
        <input
          id={id}
          type="file"
          accept={kinds}
          multiple
          style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
          onChange={(event) => {
            onFiles([...(event.currentTarget.files ?? [])]);
            event.currentTarget.value = '';
          }}
        />
      </label>
    </Button>
  );
}
