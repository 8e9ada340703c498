import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { wholeRecipe } from '@locutor/core/audio';
import { holdMusicPlace, keyOfPiece, type HoldMusic, type HoldPiece, type TakeId } from '@locutor/core/line';
import { FileUp, Square, Trash2, Volume2 } from 'lucide-react';
import { useId, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { tellDone, tellProblem } from '../../parts/notices';
import { SmallButton } from '../../parts/SmallButton';
import { showLength } from '../../parts/time';
import { sendable } from '../../takes/browserSound';
import { bringTake } from '../../takes/upload';
import { takesPath, useTakes, type KeptTake } from '../../takes/useTakes';

interface Props {
  readonly used: HoldMusic;
  /** The piece that is being heard. */
  readonly playing: HoldPiece | null;
  readonly onListen: (piece: HoldPiece) => void;
  readonly onUse: (music: HoldMusic) => void;
}

const nothingSaid = { words: '', options: [], live: [] };
/** Music is no noise. */
const recipe = { ...wholeRecipe, lessNoise: false };

/** Hold music from one's own files: brought once the right to play it is said to be there, and made good like greetings. */
export function OwnMusic({ used, playing, onListen, onUse }: Props) {
  const { mutate } = useSWRConfig();
  const pieces = useTakes().filter(({ place }) => place === holdMusicPlace);
  const remove = async ({ id, fileName }: KeptTake): Promise<void> => {
    const restore = async (): Promise<void> => {
      await api(`${takesPath}/${id}/restore`, { method: 'POST' });
      await mutate(takesPath);
    };
    try {
      await api(`${takesPath}/${id}`, { method: 'DELETE' });
      await mutate(takesPath);
      tellDone(`${fileName} was removed.`, () => void restore());
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <>
      {pieces.map((take) => {
        const isPlaying = playing !== null && keyOfPiece(playing) === take.audioId;
        const Icon = isPlaying ? Square : Volume2;
        return (
          <Flex key={take.id} gap="3" align="center" py="1" borderTopWidth="1px" borderColor="hairline">
            <Text asChild flex="1" minW="0" truncate title={take.fileName}>
              <label>
                <input
                  type="radio"
                  name="holdMusic"
                  checked={used === take.id}
                  onChange={() => onUse(take.id)}
                  style={{ marginRight: 8 }}
                />
                {take.fileName}
                <Text as="span" color="quiet" fontSize="13px">
                  , {showLength(take.lengthMs)}
                </Text>
              </label>
            </Text>
            <Button size="xs" variant="outline" bg="sheet" onClick={() => onListen({ audioId: take.audioId })}>
              <Icon size={13} aria-hidden /> {isPlaying ? 'Stop' : 'Listen'}
            </Button>
            <SmallButton
              label={used === take.id ? `${take.fileName} is played; choose another first` : `Remove ${take.fileName}`}
              icon={<Trash2 size={14} />}
              isOff={used === take.id}
              onClick={() => void remove(take)}
            />
          </Flex>
        );
      })}
      <BringMusic onBrought={(id) => void mutate(takesPath).then(() => onUse(id))} />
    </>
  );
}

function BringMusic({ onBrought }: { readonly onBrought: (id: TakeId) => void }) {
  const id = useId();
  const [mayPlay, setMayPlay] = useState(false);
  const [stage, setStage] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async (file: File): Promise<void> => {
    setProblem(null);
    setStage(`${file.name} is made good for the telephone …`);
    try {
      const sent = await sendable(file);
      const of = { place: holdMusicPlace, text: '', says: nothingSaid, recipe, rights: 'yes' } as const;
      const take = await bringTake({ ...of, file: sent, fileName: sent.name, source: 'file' }, () => undefined).done;
      onBrought(take.id);
      setMayPlay(false);
    } catch (error) {
      setProblem(wordsOf(error));
    } finally {
      setStage(null);
    }
  };
  return (
    <Box pt="3" borderTopWidth="1px" borderColor="hairline">
      <Flex as="label" gap="2" align="baseline" fontSize="13px" cursor="pointer">
        <input type="checkbox" checked={mayPlay} onChange={({ currentTarget }) => setMayPlay(currentTarget.checked)} />
        We have the right to play this music to callers: it is our own, was paid for, or is free to use.
      </Flex>
      <Flex mt="2" gap="3" align="center" wrap="wrap">
        <Button asChild size="sm" variant="outline" bg="sheet" disabled={!mayPlay || stage !== null}>
          <label htmlFor={id} aria-disabled={!mayPlay} style={{ cursor: mayPlay ? 'pointer' : 'not-allowed' }}>
            <FileUp size={14} aria-hidden /> Bring music of your own
            <input
              id={id}
              type="file"
              accept="audio/*,.wav,.mp3,.m4a,.ogg,.flac"
              disabled={!mayPlay || stage !== null}
              style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
              onChange={(event) => {
                const [file] = event.currentTarget.files ?? [];
                event.currentTarget.value = '';
                if (file) void bring(file);
              }}
            />
          </label>
        </Button>
        {!mayPlay && (
          <Text fontSize="13px" color="quiet">
            Music from records or the radio needs a licence in most countries. Say first that you may play it.
          </Text>
        )}
      </Flex>
      {stage && (
        <Text role="status" fontSize="13px" mt="2">
          {stage}
        </Text>
      )}
      {problem && (
        <Text role="alert" fontSize="13px" fontWeight="500" mt="2">
          {problem}
        </Text>
      )}
    </Box>
  );
}
