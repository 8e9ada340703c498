import { Button, Menu, Portal } from '@chakra-ui/react';
import { writePiece, type WordsPiece } from '@locutor/core/line';
import { Plus } from 'lucide-react';
import { memo } from 'react';
import type { Person } from '@locutor/core/directory';
import type { Hours } from '@locutor/core/hours';
import { useAllHours, usePeople } from '../../api/resources';

type Special = Exclude<WordsPiece, { type: 'text' }>;

const general: readonly { readonly label: string; readonly piece: Special }[] = [
  { label: 'The business’s name', piece: { type: 'live', part: { type: 'business' } } },
  { label: 'The week’s hours', piece: { type: 'live', part: { type: 'week', hoursId: null } } },
  { label: 'Today’s hours', piece: { type: 'live', part: { type: 'today', hoursId: null } } },
  { label: 'When it opens next', piece: { type: 'live', part: { type: 'opens', hoursId: null } } },
  { label: 'The special date’s name', piece: { type: 'live', part: { type: 'special', hoursId: null } } },
];
const options = { label: 'The options', piece: { type: 'live', part: { type: 'options' } } } as const;
const pauses = [500, 1000, 2000].map((ms) => ({
  label: `A pause of ${ms / 1000} s`,
  piece: { type: 'pause', ms } as const,
}));

/** Any hours by name: those of a group, a queue or a shed. */
const hoursParts = ({ id, name }: Hours): readonly { readonly label: string; readonly piece: Special }[] => [
  { label: `${name}: the week`, piece: { type: 'live', part: { type: 'week', hoursId: id } } },
  { label: `${name}: today`, piece: { type: 'live', part: { type: 'today', hoursId: id } } },
  { label: `${name}: when it opens next`, piece: { type: 'live', part: { type: 'opens', hoursId: id } } },
];
const personPart =
  (type: 'name' | 'extension') =>
  ({ id, name }: Person): { readonly label: string; readonly piece: Special } => ({
    label: name,
    piece: { type: 'live', part: { type, personId: id } },
  });

interface Props {
  readonly label: string;
  /** Whether the options can be placed here: in the words of a menu only. */
  readonly withOptions: boolean;
  readonly onInsert: (text: string) => void;
}

/** Offers what can stand in words as a chip: always current, or a pause. */
export const InsertMenu = memo(function InsertMenu({ label, withOptions, onInsert }: Props) {
  const people = usePeople();
  const item = ({ label: text, piece }: { readonly label: string; readonly piece: Special }) => (
    <Menu.Item key={text} value={writePiece(piece)}>
      {text}
    </Menu.Item>
  );
  const hours = useAllHours().data ?? [];
  const submenu = (title: string, parts: readonly { readonly label: string; readonly piece: Special }[]) => (
    <Menu.Root onSelect={({ value }) => onInsert(value)} positioning={{ placement: 'right-start' }} lazyMount>
      <Menu.TriggerItem>{title}</Menu.TriggerItem>
      <Portal>
        <Menu.Positioner>
          <Menu.Content maxH="320px" overflowY="auto">
            {parts.map(item)}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
  return (
    <Menu.Root onSelect={({ value }) => onInsert(value)} lazyMount unmountOnExit>
      <Menu.Trigger asChild>
        <Button
          size="2xs"
          h="24px"
          px="1"
          variant="ghost"
          color="quiet"
          fontWeight="400"
          aria-label={`Insert into ${label.toLowerCase()}`}
          title="Insert hours, names and more that are always current, or a pause"
        >
          <Plus size={12} aria-hidden /> insert
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {[...general, ...(withOptions ? [options] : [])].map(item)}
            {hours.length > 1 && submenu('Hours by name', hours.flatMap(hoursParts))}
            {submenu('A person’s name', people.map(personPart('name')))}
            {submenu('A person’s extension', people.map(personPart('extension')))}
            <Menu.Separator />
            {pauses.map(item)}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
});
