import { Flex, Input, Text } from '@chakra-ui/react';
import { switchLimits } from '@locutor/core/hours';
import { useId } from 'react';
import { usePeople } from '../api/resources';

interface Props {
  readonly value: string;
  readonly onChange: (by: string) => void;
}

/** Who does it: anybody in the directory, or a name typed. */
export function WhoField({ value, onChange }: Props) {
  const people = usePeople();
  const id = useId();
  return (
    <Flex gap="2" align="center" wrap="wrap">
      <Text asChild color="quiet">
        <label htmlFor={id}>By</label>
      </Text>
      <Input
        id={id}
        size="sm"
        w="220px"
        bg="paper"
        list={`${id}-people`}
        value={value}
        maxLength={switchLimits.by}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
      <datalist id={`${id}-people`}>
        {people.map((person) => (
          <option key={person.id} value={person.name} />
        ))}
      </datalist>
    </Flex>
  );
}
