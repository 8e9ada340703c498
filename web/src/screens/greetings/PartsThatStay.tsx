import { Box, Flex, Text } from '@chakra-ui/react';
import { placeOfText, type Language } from '@locutor/core/line';
import { clipsOf } from '@locutor/core/speech';
import { Check } from 'lucide-react';
import { Link } from 'react-router';
import { useTextRecordings } from '../../api/resources';

interface Props {
  /** As they are written, live parts and all. */
  readonly words: string;
  readonly language: Language;
}

/** Words of which a part changes can be recorded without it; each part that stays leads to where it is recorded. */
export function PartsThatStay({ words, language }: Props) {
  const recordings = useTextRecordings();
  const clips = clipsOf(words, language);
  if (clips.length === 0) return null;
  const isRecorded = (place: string): boolean =>
    recordings.some((each) => each.take && !each.take.byVoice && placeOfText(each.language, each.words) === place);
  return (
    <Box as="section" aria-label="What stays the same" mt="4" pt="3" borderTopWidth="1px" borderColor="hairline">
      <Text fontSize="13px">
        Hours or names in these words change. Record only what stays the same, and the voice says the rest in between,
        as loud as the recordings:
      </Text>
      <Box as="ul" listStyleType="none" mt="1">
        {clips.map((clip) => {
          const place = placeOfText(language, clip);
          const recorded = isRecorded(place);
          return (
            <Flex as="li" key={place} gap="2" align="baseline" py="1">
              <Text asChild fontFamily="spoken" fontSize="15px" textDecoration="underline">
                <Link to={`/greetings/${place}`} aria-label={`Record “${clip}”`}>
                  {clip}
                </Link>
              </Text>
              {recorded && (
                <Flex as="span" gap="1" align="center" fontSize="13px" color="quiet">
                  <Check size={14} aria-hidden /> recorded
                </Flex>
              )}
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
