import { Box, Button, Grid, Text } from '@chakra-ui/react';
import { differencesInWords, type Attendant, type Names, type SheetId, type ToldDifference } from '@locutor/core/line';
import { useState } from 'react';
import { SheetPage } from './SheetPage';

export interface Side {
  readonly title: string;
  readonly attendant: Attendant;
  readonly names: Names;
}

interface Props {
  readonly before: Side;
  readonly after: Side;
  /** What else is not the same, such as the words of library greetings. */
  readonly more?: readonly ToldDifference[];
}

const columns = { base: '1fr', md: '190px 1fr 1fr' };

/** What is not the same for callers in two versions: in words, and as sheets side by side. */
export function TwoVersions({ before, after, more = [] }: Props) {
  const names = { ...before.names, ...after.names };
  const differences = [...differencesInWords(before.attendant, after.attendant, names), ...more];
  const [shown, setShown] = useState<SheetId | null>(null);
  if (differences.length === 0) return <Text>Nothing: both say and do the same.</Text>;
  return (
    <>
      <Grid
        templateColumns={columns}
        columnGap="4"
        fontSize="12.5px"
        color="quiet"
        pb="1"
        aria-hidden
        display={{ base: 'none', md: 'grid' }}
      >
        <span />
        <span>{before.title}</span>
        <span>{after.title}</span>
      </Grid>
      <Box as="ul" listStyleType="none" aria-label="What is not the same">
        {differences.map(({ where, was, is, sheetId }, index) => (
          <Grid
            as="li"
            key={index}
            templateColumns={columns}
            columnGap="4"
            py="1.5"
            borderTopWidth="1px"
            borderColor="hairline"
          >
            <Text fontWeight="500">{where}</Text>
            <Text color="quiet">
              <Text srOnly>Before: </Text>
              {was || 'nothing'}
            </Text>
            <Text>
              <Text srOnly>Now: </Text>
              {is || 'nothing'}
              {sheetId && differences.findIndex((each) => each.sheetId === sheetId) === index && (
                <Button size="2xs" variant="ghost" ml="1" onClick={() => setShown(shown === sheetId ? null : sheetId)}>
                  {shown === sheetId ? 'Put away' : 'Side by side'}
                </Button>
              )}
            </Text>
          </Grid>
        ))}
      </Box>
      {shown && <SideBySide id={shown} before={before} after={after} />}
    </>
  );
}

function SideBySide({ id, before, after }: { readonly id: SheetId; readonly before: Side; readonly after: Side }) {
  const [was, is] = [before, after].map((side) => {
    const sheet = side.attendant.sheets.find((each) => each.id === id);
    return sheet && { ...side, sheet };
  });
  return (
    <Grid
      templateColumns={{ base: '1fr', md: '1fr 1fr' }}
      gap="4"
      mt="3"
      p="3"
      bg="sheet"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      role="region"
      aria-label="Side by side"
    >
      {[
        { side: was, title: before.title, other: is },
        { side: is, title: after.title, other: was },
      ].map(({ side, title, other }) => (
        <Box key={title} minW="0">
          <Text fontSize="12.5px" color="quiet">
            {title}
          </Text>
          {side ? <SheetPage {...side} other={other} /> : <Text>It is not there.</Text>}
        </Box>
      ))}
    </Grid>
  );
}
