import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { sentencesOf } from '@locutor/core/speech';
import { Link } from 'react-router';
import { Listen } from '../../parts/Listen';
import { tellProblem } from '../../parts/notices';
import { wordsOf } from '../../api/client';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { TakePanel } from '../../takes/TakePanel';
import { PartsThatStay } from './PartsThatStay';
import type { Recordable } from './useRecordables';

/** The recordings of a text that is neither a sheet's own nor a greeting: they belong to its words, wherever it is said. */
export function TextRecordings({ of }: { readonly of: Recordable }) {
  const facts = useSpokenFacts();
  const { place, name, to, kind, text, within, voice, language, says, use, around, setUse } = of;
  return (
    <Box as="section" aria-label={`Recordings of ${name}`}>
      <Flex align="baseline" gap="3" wrap="wrap">
        <Text fontSize="18px" fontWeight="600">
          {name}
        </Text>
        {kind !== 'phrase' && (
          <Text asChild fontSize="13px" color="petrol.fg" textDecoration="underline">
            <Link to={to}>Where it is written</Link>
          </Text>
        )}
      </Flex>
      <Grid mt="3" gap="6" templateColumns="repeat(auto-fit, minmax(min(440px, 100%), 1fr))">
        <Box bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="4" alignSelf="start">
          <Text fontFamily="spoken" fontSize="17px" lineHeight="1.5">
            {text}
          </Text>
          <Box mt="3">
            <Listen sentences={sentencesOf(text, voice, { type: 'line' }, facts)} label="Hear the voice" />
          </Box>
          {within && (
            <Text mt="3" fontSize="13px">
              Read it as a part of{' '}
              <Text as="span" fontFamily="spoken" fontSize="15px">
                “{within}”
              </Text>{' '}
              The voice says the rest.
            </Text>
          )}
          <Text mt="3" fontSize="13px" color="quiet">
            A recording belongs to these words: it is heard at once, also on air, and wherever they are said. Once they
            are changed, the voice says them again.
          </Text>
        </Box>
        <Box bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="4" alignSelf="start">
          <TakePanel
            place={place}
            name={name}
            text={text}
            language={language}
            says={says}
            around={around()}
            use={use}
            onUse={(take) => void setUse(take).catch((error: unknown) => tellProblem(wordsOf(error)))}
          />
          <PartsThatStay words={says.words} language={language} />
        </Box>
      </Grid>
    </Box>
  );
}
