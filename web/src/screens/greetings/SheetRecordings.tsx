import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import {
  languageOf,
  tunedVoice,
  tuningOf,
  voiceNameOf,
  withoutTakes,
  type Sheet,
  type TakeUse,
} from '@locutor/core/line';
import {
  adviceOnLength,
  adviceOnMenu,
  describeAdvice,
  estimateSentencesMs,
  paceBeside,
  saysOfSheet,
  sheetSentences,
  type Sentence,
} from '@locutor/core/speech';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import type { Heard } from '../../parts/heard';
import { Listen } from '../../parts/Listen';
import { useCanTune } from '../../parts/useVoices';
import { SpokenCaption } from '../../parts/SpokenCaption';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { TakePanel } from '../../takes/TakePanel';
import { ReadOutLength } from '../script/ReadOutLength';
import { OtherVoices } from './OtherVoices';
import { aroundPart, partsOf, takeUseOf, textOfPart, wordsOfPart } from './sheetParts';
import { PartsThatStay } from './PartsThatStay';
import { SheetVoice } from '../script/SheetVoice';

/** The recordings of a menu or an announcement: of all of it, or of its parts, which are joined with the voice. */
export function SheetRecordings({ sheet }: { readonly sheet: Sheet }) {
  const { attendant, line, edit } = useDraft();
  const facts = useSpokenFacts();
  const [chosen, setChosen] = useState('whole');
  const [heard, setHeard] = useState<Heard | null>(null);
  const parts = partsOf(sheet);
  const part = parts.find(({ value }) => value === chosen) ?? parts[0];
  const sentences = sheetSentences(sheet, attendant.voice, facts);
  const ms = estimateSentencesMs(sentences);
  const advice = sheet.type === 'menu' ? adviceOnMenu(sheet, attendant.voice, ms) : adviceOnLength(ms);
  const onUse = (take: TakeUse | null): void => edit({ type: 'setTake', sheetId: sheet.id, part: part.part, take });
  return (
    <Box as="section" aria-label={`Recordings of ${sheet.name}`}>
      <Flex align="baseline" gap="3">
        <Text fontSize="18px" fontWeight="600">
          {sheet.name}
        </Text>
        <Text fontSize="13px" color="petrol.fg" textDecoration="underline">
          <Link to={`/script/${sheet.id}`}>Its words are in the script</Link>
        </Text>
      </Flex>
      <Grid mt="3" gap="6" templateColumns="repeat(auto-fit, minmax(min(440px, 100%), 1fr))">
        <Box bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="4" alignSelf="start">
          <Box fontFamily="spoken" fontSize="17px" lineHeight="1.5">
            {sentences.map(({ text, recorded }, index) => (
              <Text
                key={index}
                borderLeftWidth={recorded ? '3px' : '0'}
                borderColor="petrol.solid"
                pl={recorded ? '2' : '0'}
              >
                {text}
              </Text>
            ))}
          </Box>
          <Flex mt="3" gap="3" align="center" wrap="wrap">
            <ReadOutLength sentences={sentences} />
            <Listen sentences={sentences} label="Hear it as callers do" onHeard={setHeard} />
          </Flex>
          <Box mt="2" minH="24px">
            {heard && <SpokenCaption text={sentences[heard.index]?.text ?? ''} heard={heard} />}
          </Box>
          {advice.map((each) => (
            <Text key={describeAdvice(each)} fontSize="13px" mt="1">
              {describeAdvice(each)}
            </Text>
          ))}
          <PaceLine sheet={sheet} sentences={sentences} />
          <Box mt="2">
            <SheetVoice id={sheet.id} name={sheet.name} voice={sheet.voice} />
            <OtherVoices
              voice={sheet.voice ?? attendant.voice}
              sentences={(voice) => sheetSentences(withoutTakes({ ...sheet, voice }), voice, facts)}
              onUse={(voice) => edit({ type: 'setSheetVoice', sheetId: sheet.id, voice })}
            />
          </Box>
        </Box>
        <Box bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="4" alignSelf="start">
          {parts.length > 1 && (
            <Text mb="3">
              Record{' '}
              <InlineSelect label="Which part is recorded" value={part.value} choices={parts} onChange={setChosen} />
            </Text>
          )}
          <TakePanel
            key={part.value}
            place={`${line.id} ${sheet.id} ${part.value}`}
            name={`${sheet.name}, ${part.label}`}
            text={textOfPart(sheet, part.part, attendant.voice, facts)}
            language={languageOf(sheet.voice ?? attendant.voice)}
            says={saysOfSheet(sheet, part.part, attendant.voice, facts)}
            around={aroundPart(sheet, part.part, sentences)}
            use={takeUseOf(sheet, part.part)}
            onUse={onUse}
          />
          <PartsThatStay
            words={parts.length > 1 && part.part.type === 'whole' ? '' : wordsOfPart(sheet, part.part)}
            language={languageOf(sheet.voice ?? attendant.voice)}
          />
        </Box>
      </Grid>
    </Box>
  );
}

/** Where the voice goes on between recordings at another pace than theirs, that is said, and can be mended. */
function PaceLine({ sheet, sentences }: { readonly sheet: Sheet; readonly sentences: readonly Sentence[] }) {
  const { attendant, edit } = useDraft();
  const voice = sheet.voice ?? attendant.voice;
  const recorded = sentences.flatMap(({ text, recorded: take }) => (take ? [{ text, lengthMs: take.lengthMs }] : []));
  const can = useCanTune(voice);
  const pace = can.pace && recorded.length < sentences.length ? paceBeside(recorded, tuningOf(voice).pace) : null;
  if (pace === null) return null;
  const tuned = tunedVoice(voiceNameOf(voice), { ...tuningOf(voice), pace });
  return (
    <Flex mt="2" gap="2" align="center" wrap="wrap" fontSize="13px">
      The recordings are spoken {pace > tuningOf(voice).pace ? 'quicker' : 'slower'} than the voice says the rest.
      <Button
        size="xs"
        variant="outline"
        bg="sheet"
        onClick={() => edit({ type: 'setSheetVoice', sheetId: sheet.id, voice: tuned })}
      >
        Let the voice speak at {pace} %
      </Button>
    </Flex>
  );
}
