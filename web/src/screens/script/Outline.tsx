import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Attendant, NamedPathId, Sheet, SheetId } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { ClipboardPaste, LibraryBig, Megaphone, Plus, Route, ScrollText } from 'lucide-react';
import { memo, useMemo, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { useAttendantPart } from '../../draft/DraftProvider';
import { useFaults } from '../../draft/useFindings';
import { useClipboard } from '../../path/clipboard';
import { namedPathsOf } from '../../path/namedPaths';
import { findingSheet } from './findingSheet';
import { KeyMap } from './KeyMap';

interface Props {
  readonly current: SheetId | NamedPathId | undefined;
  readonly onAdd: (type: 'menu' | 'announcement' | 'path' | 'paste') => void;
}

const icons = { menu: ScrollText, announcement: Megaphone, path: Route } as const;
const kinds = { menu: 'Menu', announcement: 'Announcement', path: 'Path' } as const;

/** Every sheet and named path of the script, with how many faults it has, and the keys of the menu being written. */
export const Outline = memo(function Outline({ current, onAdd }: Props) {
  const sheets = useAttendantPart(outlineOf);
  const paths = useAttendantPart(namedPathsOf);
  const faults = useFaults();
  const counts = useMemo(() => countsOf(faults), [faults]);
  const clip = useClipboard();
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
      {sheets.map(({ id, name, type }) => (
        <Entry key={id} id={id} name={name} kind={type} faults={counts.get(id) ?? 0} isCurrent={id === current} />
      ))}
      <Flex direction={{ base: 'row', md: 'column' }} gap="0.5" mt="1" align="flex-start" wrap="wrap">
        <AddButton onClick={() => onAdd('menu')}>Menu</AddButton>
        <AddButton onClick={() => onAdd('announcement')}>Announcement</AddButton>
        <Button asChild size="xs" variant="ghost">
          <Link to="/starters" title="Whole attendants to begin from">
            <LibraryBig size={13} aria-hidden /> Starters
          </Link>
        </Button>
        {clip?.type === 'sheet' && (
          <Button size="xs" variant="ghost" onClick={() => onAdd('paste')}>
            <ClipboardPaste size={13} aria-hidden /> Paste {clip.sheet.name}
          </Button>
        )}
      </Flex>
      <NamedPaths paths={paths} current={current} counts={counts} onAdd={() => onAdd('path')} />
      <CurrentKeys id={current} />
    </Flex>
  );
});

type OutlineEntry = Pick<Sheet, 'id' | 'name' | 'type'>;
let lastOutline: readonly OutlineEntry[] = [];

/** What the outline shows of the sheets; the same as long as none comes, goes, moves or is renamed. */
function outlineOf({ sheets }: Attendant): readonly OutlineEntry[] {
  const isSame =
    sheets.length === lastOutline.length &&
    sheets.every(({ id, name }, index) => lastOutline[index]?.id === id && lastOutline[index].name === name);
  if (!isSame) lastOutline = sheets.map(({ id, name, type }) => ({ id, name, type }));
  return lastOutline;
}

function CurrentKeys({ id }: { readonly id: string | undefined }) {
  const sheet = useAttendantPart((attendant) => attendant.sheets.find((each) => each.id === id));
  if (sheet?.type !== 'menu') return null;
  return (
    <Box mt="auto" pt="4" display={{ base: 'none', md: 'block' }}>
      <KeyMap menuId={sheet.id} name={sheet.name} options={sheet.options} />
    </Box>
  );
}

function countsOf(faults: readonly Finding[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const fault of faults) {
    const { at } = fault;
    const id = at.type === 'path' && at.slot.type === 'named' ? at.slot.pathId : findingSheet(fault);
    if (id) counts.set(id, (counts.get(id) ?? 0) + 1);
  }
  return counts;
}

interface NamedPathsProps {
  readonly paths: Attendant['paths'];
  readonly current: string | undefined;
  readonly counts: ReadonlyMap<string, number>;
  readonly onAdd: () => void;
}

function NamedPaths({ paths, current, counts, onAdd }: NamedPathsProps) {
  return (
    <Box mt="3">
      <Text fontSize="12px" color="quiet" px="2" title="Written once, followed from many places">
        Paths with a name
      </Text>
      {paths.map(({ id, name }) => (
        <Entry key={id} id={id} name={name} kind="path" faults={counts.get(id) ?? 0} isCurrent={id === current} />
      ))}
      <AddButton onClick={onAdd}>Path</AddButton>
    </Box>
  );
}

function AddButton({ onClick, children }: { readonly onClick: () => void; readonly children: ReactNode }) {
  return (
    <Button size="xs" variant="ghost" onClick={onClick}>
      <Plus size={13} aria-hidden /> {children}
    </Button>
  );
}

interface EntryProps {
  readonly id: string;
  readonly name: string;
  readonly kind: keyof typeof icons;
  readonly faults: number;
  readonly isCurrent: boolean;
}

const Entry = memo(function Entry({ id, name, kind, faults, isCurrent }: EntryProps) {
  const Icon = icons[kind];
  return (
    <Flex
      asChild
      align="center"
      gap="2"
      px="2"
      py="1"
      minH="8"
      flexShrink="0"
      borderRadius="md"
      bg={isCurrent ? 'petrol.subtle' : undefined}
      color={isCurrent ? 'petrol.fg' : undefined}
      fontWeight={isCurrent ? 600 : 400}
      _hover={{ bg: 'sunk' }}
    >
      <NavLink to={`/script/${id}`} aria-current={isCurrent ? 'page' : undefined}>
        <Icon size={14} aria-label={kinds[kind]} style={{ flexShrink: 0 }} />
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
});
