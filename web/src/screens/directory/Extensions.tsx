import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  extensionPlan,
  freeFirstDigits,
  nameParts,
  readKeypad,
  renumbered,
  type NamePart,
  type PersonId,
} from '@locutor/core/directory';
import { useState, type ReactNode } from 'react';
import { useSWRConfig } from 'swr';
import { wordsOf } from '../../api/client';
import { useGroups, usePeople, useQueues } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone, tellProblem } from '../../parts/notices';
import { askedFirst } from '../../saving/askedFirst';

/** The extension plan: runs, gaps, clashes, and first digits; and how names do on the keypad. */
export function Extensions() {
  const people = usePeople();
  const shared = [...useGroups(), ...useQueues()].filter(({ extension }) => extension !== '');
  const plan = extensionPlan(people);
  const span = ({ from, to }: { from: string; to: string }) => (from === to ? from : `${from}–${to}`);
  return (
    <Box maxW="760px">
      <Title>The extension plan</Title>
      <Fact name="In use">{plan.runs.map(span).join(', ') || 'none yet'}</Fact>
      <Fact name="Gaps">{plan.gaps.map(span).join(', ') || 'none'}</Fact>
      <Fact name="Next free">{plan.nextFree}</Fact>
      {shared.length > 0 && (
        <Fact name="Shared">{shared.map(({ extension, name }) => `${extension} ${name}`).join(', ')}</Fact>
      )}
      <Fact name="Clashes">
        {plan.doubles
          .map(({ extension, people: same }) => `${extension}: ${same.map(({ name }) => name).join(', ')}`)
          .join('; ') || 'none: no two people have the same'}
      </Fact>
      {plan.beginnings.length > 0 && (
        <Fact name="Waits">
          {plan.beginnings
            .map(({ extension, longer }) => `${extension} waits, since ${longer.join(', ')} begin so too`)
            .join('; ')}
        </Fact>
      )}
      <FirstDigits />
      <KeypadNames />
    </Box>
  );
}

function Title({ children }: { readonly children: string }) {
  return (
    <Heading as="h2" fontSize="15px" fontWeight="600" mt="5" mb="1">
      {children}
    </Heading>
  );
}

function Fact({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <Flex py="1.5" borderTopWidth="1px" borderColor="hairline" gap="3">
      <Text w="110px" flexShrink="0" color="quiet">
        {name}
      </Text>
      <Text fontVariantNumeric="tabular-nums">{children}</Text>
    </Flex>
  );
}

/** Which keys of which menus wait because extensions begin with them, and another first digit for everybody. */
function FirstDigits() {
  const { attendant } = useDraft();
  const people = usePeople();
  const { mutate } = useSWRConfig();
  const digits = [...new Set(people.map(({ extension }) => extension.charAt(0)))].sort();
  const free = freeFirstDigits(people);
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  const [chosenFrom, chosenTo] = [from ?? digits[0] ?? '', to ?? free.at(-1) ?? ''];
  const clashes = attendant.sheets.flatMap((sheet) =>
    sheet.type === 'menu' && sheet.extensions
      ? sheet.options
          .filter(({ key }) => digits.includes(key))
          .map(({ key }) => `Key ${key} of ${sheet.name} waits ${sheet.extensions?.waitSeconds ?? 0} s`)
      : [],
  );
  const takeIn = async (changes: ReadonlyMap<PersonId, string>): Promise<void> => {
    const body = { people: [...changes].map(([id, extension]) => ({ id, extension })) };
    await askedFirst('/api/people/take-in', { method: 'POST', body });
    await mutate('/api/people');
  };
  const renumber = async (): Promise<void> => {
    const changes = renumbered(people, chosenFrom, chosenTo);
    const back = new Map(people.filter(({ id }) => changes.has(id)).map(({ id, extension }) => [id, extension]));
    try {
      await takeIn(changes);
      setFrom(null);
      tellDone(`${changes.size} extensions begin with ${chosenTo} now.`, () => void takeIn(back));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <>
      <Title>First digits</Title>
      <Text>
        {clashes.length > 0
          ? `${clashes.join('; ')}, because extensions begin so too. Move those keys in the Script, or give the extensions another first digit.`
          : 'No key of a menu has to wait for further digits.'}
      </Text>
      {digits.length > 0 && free.length > 0 && (
        <Flex align="center" gap="2" mt="1" wrap="wrap">
          <Text lineHeight="1.9">
            Let the extensions that begin with{' '}
            <InlineSelect
              label="First digit now"
              value={chosenFrom}
              choices={digits.map((digit) => ({ value: digit, label: digit }))}
              onChange={setFrom}
            />{' '}
            begin with{' '}
            <InlineSelect
              label="First digit then"
              value={chosenTo}
              choices={free.map((digit) => ({ value: digit, label: digit }))}
              onChange={setTo}
            />
          </Text>
          <Button size="xs" variant="outline" bg="sheet" onClick={() => void renumber()}>
            Renumber {renumbered(people, chosenFrom, chosenTo).size} people
          </Button>
        </Flex>
      )}
    </>
  );
}

const partWords: Readonly<Record<NamePart, string>> = {
  lastName: 'last name',
  firstName: 'first name',
  eitherName: 'first or last name',
};

/** Whom three letters cannot tell apart, whom nobody finds, and who was left out. */
function KeypadNames() {
  const people = usePeople();
  const [part, setPart] = useState<NamePart>('lastName');
  const report = readKeypad(people, part);
  const namesOf = (ids: readonly PersonId[]): string =>
    ids.map((id) => people.find((person) => person.id === id)?.name ?? '').join(', ');
  return (
    <>
      <Title>Names on the keypad</Title>
      <Text lineHeight="1.9">
        When callers spell the first three letters of the{' '}
        <InlineSelect
          label="Part of the name"
          value={part}
          choices={nameParts.map((each) => ({ value: each, label: partWords[each] }))}
          onChange={(value) => setPart(value as NamePart)}
        />
        :
      </Text>
      {report.collisions.map(({ keys, people: ids }) => (
        <Fact key={keys} name={keys}>
          {namesOf(ids)}: read out, and chosen by key
        </Fact>
      ))}
      {report.collisions.length === 0 && <Fact name="Alike">nobody: three letters tell everybody apart</Fact>}
      <Fact name="Not found">
        {namesOf(report.unfindable) || 'nobody'}
        {report.unfindable.length > 0 && ': their names have no letters of the keypad; say in People how they are said'}
      </Fact>
      <Fact name="Left out">{namesOf(report.leftOut) || 'nobody'}</Fact>
    </>
  );
}
