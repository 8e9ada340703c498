import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { SheetId } from '@locutor/core/line';
import { Megaphone, Plus, ScrollText } from 'lucide-react';
import { NavLink } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { useFindings } from '../../draft/useFindings';
import { findingSheet } from './findingSheet';
import { KeyMap } from './KeyMap';

interface Props {
  readonly current: SheetId | undefined;
  readonly onAdd: (type: 'menu' | 'announcement') => void;
}

/** Every sheet of the script, with how many faults it has, and the keys of the one being written. */
export function Outline({ current, onAdd }: Props) {
  const { attendant } = useDraft();
  const findings = useFindings();
  const sheet = attendant.sheets.find((each) => each.id === current);
  return (
    <Flex
      as="section"
      aria-label="Outline"
      direction="column"
      w={{ base: '100%', md: '188px' }}
      maxH={{ base: '38dvh', md: 'none' }}
      flexShrink="0"
      p="2"
      overflow="auto"
      borderRightWidth={{ md: '1px' }}
      borderBottomWidth={{ base: '1px', md: '0' }}
      borderColor="hairline"
    >
      {attendant.sheets.map(({ id, name, type }) => {
        const faults = findings.filter((finding) => findingSheet(finding) === id).length;
        const Icon = type === 'menu' ? ScrollText : Megaphone;
        return (
          <Flex
            key={id}
            asChild
            align="center"
            gap="2"
            px="2"
            py="1"
            minH="8"
            borderRadius="md"
            bg={id === current ? 'petrol.subtle' : undefined}
            color={id === current ? 'petrol.fg' : undefined}
            fontWeight={id === current ? 600 : 400}
            _hover={{ bg: 'sunk' }}
          >
            <NavLink to={`/script/${id}`} aria-current={id === current ? 'page' : undefined}>
              <Icon size={14} aria-label={type === 'menu' ? 'Menu' : 'Announcement'} style={{ flexShrink: 0 }} />
              <Text as="span" truncate>
                {name}
              </Text>
              {faults > 0 && (
                <Text as="span" ml="auto" fontFamily="mono" fontSize="12px" aria-label={`${faults} faults`}>
                  !{faults}
                </Text>
              )}
            </NavLink>
          </Flex>
        );
      })}
      <Flex direction={{ base: 'row', md: 'column' }} gap="0.5" mt="2" align="flex-start">
        <Button size="xs" variant="ghost" onClick={() => onAdd('menu')}>
          <Plus size={13} aria-hidden /> Menu
        </Button>
        <Button size="xs" variant="ghost" onClick={() => onAdd('announcement')}>
          <Plus size={13} aria-hidden /> Announcement
        </Button>
      </Flex>
      {sheet?.type === 'menu' && (
        <Box mt="auto" pt="4" display={{ base: 'none', md: 'block' }}>
          <KeyMap menu={sheet} />
        </Box>
      )}
    </Flex>
  );
}
