import { Text } from '@chakra-ui/react';
import type { PersonId } from '@locutor/core/directory';
import { usePeople } from '../../api/resources';
import { Chosen } from '../../parts/Chosen';

interface Props {
  readonly chosen: readonly PersonId[];
  readonly onChange: (chosen: readonly PersonId[]) => void;
}

/** People of the directory who get e-mails; those without an address are said. */
export function PeopleToTell({ chosen, onChange }: Props) {
  const people = usePeople();
  const nameOf = (id: PersonId): string => people.find((person) => person.id === id)?.name ?? 'somebody who left';
  const without = chosen.filter((id) => people.find((person) => person.id === id)?.email === '');
  return (
    <>
      <Chosen
        chosen={chosen}
        all={people.map(({ id }) => id)}
        nameOf={nameOf}
        label="Person to add"
        toAdd="add a person"
        none="Nobody yet."
        onChange={onChange}
      />
      {without.length > 0 && (
        <Text fontSize="13px" mt="1" role="status">
          {without.map(nameOf).join(', ')}: no e-mail address in the Directory, so nothing is sent.
        </Text>
      )}
    </>
  );
}
