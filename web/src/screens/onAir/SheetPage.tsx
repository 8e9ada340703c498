import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { sheetLines, type Attendant, type Names, type Sheet } from '@locutor/core/line';
import type { ReactNode } from 'react';

interface Props {
  readonly sheet: Sheet;
  readonly attendant: Attendant;
  readonly names: Names;
  /** The same sheet in another version; lines that are not the same are marked. */
  readonly other?: { readonly sheet: Sheet; readonly attendant: Attendant; readonly names: Names } | undefined;
  /** What can be done with it. */
  readonly children?: ReactNode;
}

/** A sheet as a page to be read: what is said in serif, what happens as sentences. */
export function SheetPage({ sheet, attendant, names, other, children }: Props) {
  const lines = sheetLines(sheet, attendant, names);
  const others = other && new Map(sheetLines(other.sheet, other.attendant, other.names).map((line) => [line.id, line]));
  return (
    <Box>
      <Flex align="center" justify="space-between" gap="2" mb="1">
        <Heading as="h3" fontSize="14px" fontWeight="600">
          {sheet.name}
        </Heading>
        {children}
      </Flex>
      {lines.map(({ id, label, spoken, does }) => {
        const was = others?.get(id);
        const isOther = others !== undefined && (was?.spoken !== spoken || was.does !== does || was.label !== label);
        if (!label && !spoken && !does) return null;
        return (
          <Box
            key={id}
            py="1"
            pl="2"
            borderLeftWidth="3px"
            borderColor={isOther ? 'petrol.solid' : 'transparent'}
            bg={isOther ? 'petrol.subtle' : undefined}
          >
            {label && (
              <Text as="span" color="quiet" fontSize="12.5px" mr="2">
                {label}
                {isOther && <Text srOnly>, changed</Text>}
              </Text>
            )}
            {spoken && (
              <Text as="span" fontFamily="spoken" fontSize="15px" mr="2">
                {spoken}
              </Text>
            )}
            {does && (
              <Text as={spoken ? 'div' : 'span'} fontSize="13px">
                {does}
              </Text>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
