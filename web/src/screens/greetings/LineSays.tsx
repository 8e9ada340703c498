import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { languages, languageOf, placeOfText } from '@locutor/core/line';
import { everySpokenText, sentencesOf, type SaidText } from '@locutor/core/speech';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useBoxes, useGreetings, useGroups, usePeople, useQueues } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { Listen } from '../../parts/Listen';
import { useSpokenFacts } from '../../speech/useSpokenFacts';

/** What is said without anybody having written it: names, and what the line says by itself. */
export function LineSays() {
  const { attendant, hours, switched } = useDraft();
  const [people, queues, boxes, greetings] = [usePeople(), useQueues(), useBoxes(), useGreetings()];
  const groups = useGroups();
  const [isOpen, setOpen] = useState(false);
  const texts = useMemo(
    () =>
      isOpen
        ? everySpokenText(attendant, {
            people,
            groups,
            queues,
            boxes,
            greetings,
            hours,
            switchWords: switched?.words ?? '',
          })
        : [],
    [isOpen, attendant, people, groups, queues, boxes, greetings, hours, switched],
  );
  const names = texts.filter(({ place }) => place.type === 'name');
  const phrases = texts.filter(({ place }) => place.type === 'phrase');
  const languagesSaid = [...new Set(phrases.map(({ voice }) => languageOf(voice)))];
  return (
    <Box as="section" aria-labelledby="line-says" mt="8" maxW="760px">
      <Flex align="center" gap="3">
        <Heading as="h2" id="line-says" fontSize="15px" fontWeight="600">
          What the line says by itself
        </Heading>
        <Button size="xs" variant="outline" bg="sheet" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Hide it' : 'Show it'}
        </Button>
      </Flex>
      <Text color="quiet" fontSize="13px">
        Names, places in line, what is asked for. It follows the voice and language of the menu a caller is in.
      </Text>
      {isOpen && names.length > 0 && (
        <Said title="Names" texts={names}>
          <Text fontSize="13px" color="quiet">
            How a name is said is changed with the person, in the <Link to="/directory/people">directory</Link>.
          </Text>
        </Said>
      )}
      {languagesSaid.map((language) => (
        <Said
          key={language}
          title={languages[language]}
          texts={phrases.filter(({ voice }) => languageOf(voice) === language)}
        />
      ))}
    </Box>
  );
}

interface SaidProps {
  readonly title: string;
  readonly texts: readonly SaidText[];
  readonly children?: ReactNode;
}

function Said({ title, texts, children }: SaidProps) {
  const facts = useSpokenFacts();
  return (
    <Box mt="3">
      <Heading as="h3" fontSize="14px" fontWeight="600">
        {title}
      </Heading>
      {children}
      <Box as="ul" listStyleType="none" aria-label={title}>
        {texts.map(({ place, typed, voice }) => (
          <Flex
            as="li"
            key={typed}
            align="center"
            justify="space-between"
            gap="3"
            py="1"
            borderBottomWidth="1px"
            borderColor="hairline"
          >
            <Text fontFamily="spoken" fontSize="16px">
              {typed}
            </Text>
            <Flex gap="1" flexShrink="0">
              {(place.type === 'phrase' || place.type === 'name') && (
                <Button asChild size="xs" variant="ghost" colorPalette="petrol">
                  <Link to={`/greetings/${placeOfText(languageOf(voice), typed)}`} aria-label={`Record “${typed}”`}>
                    Record
                  </Link>
                </Button>
              )}
              <Listen sentences={sentencesOf(typed, voice, { type: 'line' }, facts)} />
            </Flex>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
