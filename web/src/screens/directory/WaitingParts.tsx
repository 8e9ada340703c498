import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { queueLimits, type WaitingPart } from '@locutor/core/directory';
import { longestWords, type GreetingId } from '@locutor/core/line';
import { ChevronDown, ChevronUp, Plus, X } from 'lucide-react';
import { useGreetings } from '../../api/resources';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { SmallButton } from '../../parts/SmallButton';

interface Props {
  readonly of: string;
  readonly parts: readonly WaitingPart[];
  readonly onChange: (parts: readonly WaitingPart[]) => void;
}

const music: WaitingPart = { type: 'music', seconds: queueLimits.musicSeconds.usual };

/** What callers hear over and over while they wait: music, words and greetings in any order. */
export function WaitingParts({ of, parts, onChange }: Props) {
  const greetings = useGreetings();
  const put = (index: number, part: WaitingPart): void =>
    onChange(parts.map((each, at) => (at === index ? part : each)));
  const move = (index: number, by: number): void => {
    const next = [...parts];
    next.splice(index + by, 0, ...next.splice(index, 1));
    onChange(next);
  };
  const start = (type: string): WaitingPart => {
    if (type === 'music') return music;
    if (type === 'words') return { type, words: 'Thank you for waiting.' };
    return { type: 'greeting', greetingId: type as GreetingId };
  };
  return (
    <Box mt="2">
      <Text fontSize="12px" color="quiet">
        While waiting, over and over
      </Text>
      {parts.map((part, index) => (
        <Flex key={index} align="center" gap="1" minH="30px" wrap="wrap">
          <InlineSelect
            label={`Stretch ${index + 1} while waiting in ${of}`}
            value={part.type === 'greeting' ? part.greetingId : part.type}
            choices={[
              { value: 'music', label: 'hold music for' },
              { value: 'words', label: 'the words' },
              ...greetings.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(type) => put(index, start(type))}
          />
          {part.type === 'music' && (
            <span>
              <InlineNumber
                label={`Seconds of music in stretch ${index + 1} of ${of}`}
                value={part.seconds}
                least={queueLimits.musicSeconds.least}
                most={queueLimits.musicSeconds.most}
                step={5}
                onChange={(seconds) => put(index, { type: 'music', seconds })}
              />{' '}
              s
            </span>
          )}
          {part.type === 'words' && (
            <Box flex="1" minW="200px">
              <InlineWords
                label={`Words of stretch ${index + 1} of ${of}`}
                value={part.words}
                most={longestWords}
                fontSize="15px"
                maxW="100%"
                placeholder="What is said"
                onChange={(words) => words && put(index, { type: 'words', words })}
              />
            </Box>
          )}
          <SmallButton
            label={`Move stretch ${index + 1} of ${of} up`}
            icon={<ChevronUp size={13} />}
            isOff={index === 0}
            onClick={() => move(index, -1)}
          />
          <SmallButton
            label={`Move stretch ${index + 1} of ${of} down`}
            icon={<ChevronDown size={13} />}
            isOff={index === parts.length - 1}
            onClick={() => move(index, 1)}
          />
          <SmallButton
            label={`Remove stretch ${index + 1} of ${of}`}
            icon={<X size={13} />}
            onClick={() => onChange(parts.filter((_, at) => at !== index))}
          />
        </Flex>
      ))}
      {parts.length < queueLimits.waitingParts && (
        <Button
          size="2xs"
          variant="ghost"
          colorPalette="petrol"
          ml="-1"
          aria-label={`Add a stretch while waiting in ${of}`}
          onClick={() => onChange([...parts, parts.at(-1)?.type === 'music' ? start('words') : music])}
        >
          <Plus size={12} aria-hidden /> then something else
        </Button>
      )}
    </Box>
  );
}
