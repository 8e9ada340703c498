import { Box, Button, Flex, Text, type BoxProps } from '@chakra-ui/react';
import type { Side, ToldClash } from '@locutor/core/merging';
import { useId, useState } from 'react';

interface Props {
  readonly clashes: readonly ToldClash[];
  readonly choose: (sides: readonly Side[]) => void;
}

const sides = ['mine', 'theirs'] as const satisfies readonly Side[];
const sideNames: Readonly<Record<Side, string>> = { mine: 'Here', theirs: 'In the other window' };

/** What two windows made of the same things, side by side, to be chosen one by one or all at once. */
export function ClashChoice({ clashes, choose }: Props) {
  const [chosen, setChosen] = useState<Readonly<Record<string, Side>>>({});
  const sideOf = ({ where }: ToldClash): Side | undefined => chosen[where];
  const isReady = clashes.every(sideOf);
  return (
    <Box role="group" aria-label="Changed in two windows" fontSize="13px">
      <Text fontWeight="500">
        {clashes.length === 1 ? 'This was' : 'These were'} changed in another window too. Nothing is lost: choose what
        is to stay.
      </Text>
      {clashes.map((clash) => (
        <OneClash
          key={clash.where}
          clash={clash}
          side={sideOf(clash)}
          onChoose={(side) => setChosen({ ...chosen, [clash.where]: side })}
        />
      ))}
      <Flex gap="2" mt="2" wrap="wrap">
        <Button
          size="xs"
          colorPalette="petrol"
          disabled={!isReady}
          onClick={() => choose(clashes.map((clash) => sideOf(clash) ?? 'mine'))}
        >
          Keep what is chosen
        </Button>
        {clashes.length > 1 &&
          sides.map((side) => (
            <Button key={side} size="xs" variant="outline" onClick={() => choose(clashes.map(() => side))}>
              {side === 'mine' ? 'All as here' : 'All as in the other window'}
            </Button>
          ))}
      </Flex>
    </Box>
  );
}

interface OneProps {
  readonly clash: ToldClash;
  readonly side: Side | undefined;
  readonly onChoose: (side: Side) => void;
}

function OneClash({ clash, side, onChoose }: OneProps) {
  const id = useId();
  return (
    <Box role="radiogroup" aria-labelledby={id} mt="2">
      <Text id={id} color="quiet">
        {clash.where}
      </Text>
      <Flex gap="2" wrap="wrap">
        {sides.map((each) => (
          <Chosen key={each} isChosen={side === each} flex="1 1 220px">
            <label>
              <input type="radio" name={id} checked={side === each} onChange={() => onChoose(each)} />{' '}
              <Text as="span" color="quiet">
                {sideNames[each]}:
              </Text>{' '}
              {clash[each]}
            </label>
          </Chosen>
        ))}
      </Flex>
    </Box>
  );
}

function Chosen({ isChosen, ...props }: BoxProps & { readonly isChosen: boolean }) {
  return (
    <Box
      px="2"
      py="1"
      borderWidth="1px"
      borderColor={isChosen ? 'petrol.solid' : 'hairline'}
      bg="sheet"
      borderRadius="sm"
      overflowWrap="anywhere"
      {...props}
    />
  );
}
