import { Box, Button, Flex, Input } from '@chakra-ui/react';
import type { TranscriptEntry } from '@locutor/core/call';
import { expectationsOfCall, rehearsalLimits, sceneOfCall } from '@locutor/core/rehearsals';
import { BookmarkPlus } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { useDraftTools } from '../draft/DraftProvider';
import { tellDone } from '../parts/notices';
import { useRehearsalDoors } from '../screens/rehearsals/useRehearsalDoors';
import { captionOf } from './captionWords';

/** Keeps a call that is over as a rehearsal: the same moment, caller and keys, and whom it reached. */
export function KeepCall({ transcript }: { readonly transcript: readonly TranscriptEntry[] }) {
  const { line, names } = useDraftTools();
  const { add } = useRehearsalDoors();
  const [name, setName] = useState<string | null>(null);
  const expects = expectationsOfCall(transcript);
  if (expects.length === 0) return null;
  if (name === null) {
    const last = transcript.findLast(({ type }) => type === 'answered' || type === 'recording' || type === 'ended');
    const suggested = (last && captionOf(last, names, 'log')) ?? 'A call';
    const keys = transcript.flatMap((entry) => (entry.type === 'key' && entry.use === 'option' ? [entry.key] : []));
    return (
      <Button
        mt="2"
        w="100%"
        variant="outline"
        bg="sheet"
        onClick={() => setName(`${keys.length > 0 ? `Keys ${keys.join(', ')}: ` : ''}${suggested}`)}
      >
        <BookmarkPlus size={16} aria-hidden /> Keep as a rehearsal …
      </Button>
    );
  }
  const keep = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const scene = sceneOfCall(transcript, line.timeZone);
    if (await add([{ name: name.trim(), scene, expects }])) {
      tellDone(`“${name.trim()}” is kept. It is run after every edit.`);
      setName(null);
    }
  };
  return (
    <Box asChild mt="2">
      <form onSubmit={(event) => void keep(event)}>
        <Flex gap="1.5">
          <Input
            size="sm"
            bg="sheet"
            aria-label="Name of the rehearsal"
            maxLength={rehearsalLimits.name}
            autoFocus
            value={name}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <Button size="sm" type="submit" colorPalette="petrol" disabled={!name.trim()}>
            Keep
          </Button>
        </Flex>
      </form>
    </Box>
  );
}
