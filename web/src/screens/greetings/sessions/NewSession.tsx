import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { wordsOf } from '../../../api/client';
import { tellProblem } from '../../../parts/notices';
import type { Recordable } from '../useRecordables';
import { useSessions } from './useSessions';

/** Which texts are recorded: whole sheets at a click, or one by one; what has no recording yet is marked. */
export function NewSession({ recordables }: { readonly recordables: readonly Recordable[] }) {
  const { add } = useSessions();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const groups = [...Map.groupBy(recordables, ({ group }) => group)];
  const set = (places: readonly string[], isIn: boolean): void =>
    setChosen((before) => {
      const next = new Set(before);
      for (const place of places)
        if (isIn) next.add(place);
        else next.delete(place);
      return next;
    });
  const begin = async (): Promise<void> => {
    const texts = recordables.filter(({ place }) => chosen.has(place));
    try {
      const { id } = await add(
        nameOf(texts),
        texts.map(({ place }) => place),
      );
      await navigate(`/greetings/sessions/${id}`);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Box as="section" aria-label="New session">
      <Text maxW="70ch">
        Choose what to record. You read one text after the other at this computer, or a colleague does when their desk
        phone is rung. You can stop at any time and go on tomorrow.
      </Text>
      <Flex
        mt="3"
        py="2"
        gap="3"
        align="center"
        position="sticky"
        top="0"
        bg="paper"
        zIndex="1"
        borderBottomWidth="1px"
        borderColor="hairline"
      >
        <Button size="sm" colorPalette="petrol" disabled={chosen.size === 0} onClick={() => void begin()}>
          {chosen.size === 0
            ? 'Choose texts to record'
            : `Record ${chosen.size} ${chosen.size === 1 ? 'text' : 'texts'}`}
        </Button>
        <Button
          size="sm"
          variant="outline"
          bg="sheet"
          onClick={() => setChosen(new Set(recordables.filter(isMissing).map(({ place }) => place)))}
        >
          Everything not recorded yet
        </Button>
      </Flex>
      {groups.map(([group, texts]) => (
        <GroupOfTexts key={group} group={group} texts={texts} chosen={chosen} onSet={set} />
      ))}
    </Box>
  );
}

const isMissing = ({ use, kind, isSecondChoice }: Recordable): boolean =>
  use === null && !isSecondChoice && kind !== 'phrase' && kind !== 'name';

/** "Welcome and After hours", "Welcome, After hours and 3 others". */
function nameOf(texts: readonly Recordable[]): string {
  const groups = [...new Set(texts.map(({ group }) => group))];
  const [first = '', second, ...others] = groups;
  if (second === undefined) return first;
  if (others.length === 0) return `${first} and ${second}`;
  return `${first}, ${second} and ${others.length} more`.slice(0, 80);
}

interface GroupProps {
  readonly group: string;
  readonly texts: readonly Recordable[];
  readonly chosen: ReadonlySet<string>;
  readonly onSet: (places: readonly string[], isIn: boolean) => void;
}

function GroupOfTexts({ group, texts, chosen, onSet }: GroupProps) {
  // What is better recorded otherwise is chosen by itself only.
  const usual = texts.filter(({ isSecondChoice }) => !isSecondChoice);
  const places = usual.map(({ place }) => place);
  const count = places.filter((place) => chosen.has(place)).length;
  const isAll = count === places.length && count > 0;
  return (
    <Box role="group" aria-label={group} mt="4">
      <Flex as="label" gap="2" align="baseline" cursor="pointer">
        <input
          type="checkbox"
          checked={isAll}
          ref={(box) => {
            if (box) box.indeterminate = count > 0 && !isAll;
          }}
          onChange={() => onSet(places, !isAll)}
        />
        <Heading as="h2" fontSize="15px" fontWeight="600">
          All of {group}
        </Heading>
      </Flex>
      {texts.map(({ place, name, text, kind, isSecondChoice, use }) => (
        <Flex
          as="label"
          key={place}
          gap="2"
          py="1.5"
          ps="6"
          align="baseline"
          cursor="pointer"
          borderBottomWidth="1px"
          borderColor="hairline"
        >
          <input
            type="checkbox"
            checked={chosen.has(place)}
            onChange={({ currentTarget }) => onSet([place], currentTarget.checked)}
          />
          <Box flex="1" minW="0">
            <Text fontSize="13px" color="quiet">
              {name}
              {kind === 'clip' && ' · the voice says what changes'}
              {kind !== 'clip' && isSecondChoice && ' · changes by the day: better recorded in its parts'}
              {use && ' · recorded'}
            </Text>
            <Text fontFamily="spoken" fontSize="15px" lineHeight="1.45">
              {text}
            </Text>
          </Box>
        </Flex>
      ))}
    </Box>
  );
}
