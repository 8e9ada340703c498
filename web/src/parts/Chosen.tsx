import { Flex, Text } from '@chakra-ui/react';
import { X } from 'lucide-react';
import { InlineSelect } from './InlineSelect';
import { SmallButton } from './SmallButton';

interface Props<Each extends string> {
  readonly chosen: readonly Each[];
  /** All that there are, in the order in which they are offered. */
  readonly all: readonly Each[];
  readonly nameOf: (each: Each) => string;
  /** What the list of the others is called, read out. */
  readonly label: string;
  /** What stands where one can be added. */
  readonly toAdd: string;
  /** What stands where none is chosen. */
  readonly none?: string;
  readonly onChange: (chosen: readonly Each[]) => void;
}

/** Some of many, each to be left out again. */
export function Chosen<Each extends string>({ chosen, all, nameOf, label, toAdd, none, onChange }: Props<Each>) {
  const others = all.filter((each) => !chosen.includes(each));
  return (
    <Flex gap="2" wrap="wrap" align="center" mt="1">
      {chosen.map((each) => (
        <Flex key={each} as="span" align="center" gap="1" borderWidth="1px" borderRadius="md" ps="2" bg="sheet">
          {nameOf(each)}
          <SmallButton
            label={`Leave out ${nameOf(each)}`}
            icon={<X size={13} aria-hidden />}
            onClick={() => onChange(chosen.filter((other) => other !== each))}
          />
        </Flex>
      ))}
      {chosen.length === 0 && none && <Text as="span">{none}</Text>}
      {others.length > 0 && (
        <InlineSelect
          label={label}
          value=""
          toChoose={toAdd}
          choices={others.map((each) => ({ value: each, label: nameOf(each) }))}
          onChange={(each) => onChange([...chosen, each as Each])}
        />
      )}
    </Flex>
  );
}
