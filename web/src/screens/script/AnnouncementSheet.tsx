import { Box, Heading } from '@chakra-ui/react';
import type { Announcement } from '@locutor/core/line';
import { sheetSentences } from '@locutor/core/speech';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { Listen } from '../../parts/Listen';
import { PathSentence } from '../../path/PathSentence';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { SpokenField } from '../../parts/SpokenField';
import { ReadOutLength } from './ReadOutLength';
import { Noted, WithNotes } from './MarginNotes';
import { SheetName } from './SheetName';
import { SheetVoice } from './SheetVoice';

export function AnnouncementSheet({ announcement }: { readonly announcement: Announcement }) {
  const { edit } = useDraftTools();
  const ofScript = useAttendantPart(({ voice }) => voice);
  const { id, words, afterPath } = announcement;
  const facts = useSpokenFacts();
  const sentences = sheetSentences(announcement, ofScript, facts);
  return (
    <WithNotes>
      <Box px="6" pb="10" maxW="1020px">
        <SheetName sheet={announcement}>
          <ReadOutLength sentences={sentences} />
          <Listen sentences={sentences} />
        </SheetName>
        <Noted at={id}>
          <Box mt="3">
            <SpokenField
              label="The caller hears"
              value={words}
              voice={announcement.voice ?? ofScript}
              placeholder="Type what is said, for example when the fuel dock is open."
              onChange={(next) => edit({ type: 'setWords', sheetId: id, part: 'words', words: next })}
            />
          </Box>
          <SheetVoice id={id} name={announcement.name} voice={announcement.voice} />
        </Noted>
        <Noted at={{ type: 'after', sheetId: id }}>
          <Heading as="h2" fontSize="14px" fontWeight="600" mt="5">
            Then
          </Heading>
          <PathSentence slot={{ type: 'after', sheetId: id }} path={afterPath} of="what follows" />
        </Noted>
      </Box>
    </WithNotes>
  );
}
