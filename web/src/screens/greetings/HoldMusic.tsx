import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { holdMusic, phoneRateHz, writeWav } from '@locutor/core/audio';
import { holdMusicIds, holdMusicPieces, keyOfPiece, type HoldPiece } from '@locutor/core/line';
import { Download, Square, Volume2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useSettings, type Settings } from '../../api/resources';
import { playHoldMusic } from '../../handset/sounds';
import { OwnMusic } from './OwnMusic';
import { saveFile } from '../../parts/saveFile';
import { SmallButton } from '../../parts/SmallButton';
import { SavingNote } from '../../saving/SavingNote';
import { useSettingsDraft } from '../settings/useSettingsDraft';

/** The pieces that are played to those who wait or are on hold. */
export function HoldMusic() {
  const { data } = useSettings();
  return data ? <Pieces kept={data} /> : null;
}

function Pieces({ kept }: { readonly kept: Settings }) {
  const { row, change, ...saving } = useSettingsDraft(kept);
  const [playing, setPlaying] = useState<HoldPiece | null>(null);
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const used = row.holdMusic;
  const listen = (piece: HoldPiece): void => {
    const isPlaying = playing !== null && keyOfPiece(playing) === keyOfPiece(piece);
    stop.current?.();
    stop.current = isPlaying ? null : playHoldMusic(piece);
    setPlaying(isPlaying ? null : piece);
  };
  return (
    <Box as="section" aria-label="Hold music" mt="8" maxW="640px">
      <Heading as="h2" fontSize="15px" fontWeight="600">
        Hold music
      </Heading>
      <Text fontSize="13px" color="quiet" mb="1">
        Played while callers wait or are on hold. The first three were composed for Locutor: nobody else has rights in
        them.
      </Text>
      <SavingNote {...saving} isBrief />
      {holdMusicIds.map((id) => {
        const Icon = playing === id ? Square : Volume2;
        return (
          <Flex key={id} gap="3" align="center" py="1" borderTopWidth="1px" borderColor="hairline">
            <Text asChild flex="1">
              <label>
                <input
                  type="radio"
                  name="holdMusic"
                  checked={used === id}
                  onChange={() => change({ holdMusic: id })}
                  style={{ marginRight: 8 }}
                />
                {holdMusicPieces[id]}
              </label>
            </Text>
            <Button size="xs" variant="outline" bg="sheet" onClick={() => listen(id)}>
              <Icon size={13} aria-hidden /> {playing === id ? 'Stop' : 'Listen'}
            </Button>
            <SmallButton
              label={`Download ${holdMusicPieces[id]}`}
              icon={<Download size={14} />}
              onClick={() =>
                saveFile(`${id}.wav`, 'audio/wav', writeWav(holdMusic(id, phoneRateHz)) as Uint8Array<ArrayBuffer>)
              }
            />
          </Flex>
        );
      })}
      <OwnMusic used={used} playing={playing} onListen={listen} onUse={(music) => change({ holdMusic: music })} />
    </Box>
  );
}
