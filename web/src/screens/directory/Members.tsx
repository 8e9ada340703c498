import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Box, Flex, Input, Text } from '@chakra-ui/react';
import {
  membershipLimits,
  memberPhone,
  showPhoneNumber,
  type Member,
  type Person,
  type RingsOn,
} from '@locutor/core/directory';
import { GripVertical, X } from 'lucide-react';
import { useState, type KeyboardEvent } from 'react';
import { InlineNumber } from '../../parts/InlineNumber';
import { SmallButton } from '../../parts/SmallButton';
import { fits } from './fits';

interface Props {
  /** What they are members of. */
  readonly of: string;
  readonly members: readonly Member[];
  readonly people: readonly Person[];
  readonly ringsOn: RingsOn;
  /** Whether each has a tier. */
  readonly hasTiers: boolean;
  readonly onChange: (members: readonly Member[]) => void;
}

/** Who answers, in order: dragged or moved by keys, found by typing. */
export function Members({ of, members, people, ringsOn, hasTiers, onChange }: Props) {
  const [typed, setTyped] = useState('');
  const isMeant = (person: Person | undefined): boolean =>
    typed.trim() !== '' && person !== undefined && fits(typed, person.name, person.extension);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const move = (from: number, to: number): void => {
    if (to >= 0 && to < members.length) onChange(arrayMove([...members], from, to));
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    const at = (id: unknown): number => members.findIndex(({ personId }) => personId === id);
    if (over && over.id !== active.id) move(at(active.id), at(over.id));
  };
  return (
    <Box>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={members.map(({ personId }) => personId)} strategy={verticalListSortingStrategy}>
          <Box as="ol" aria-label={`Members of ${of}`}>
            {members.map((member, index) => {
              const person = people.find(({ id }) => id === member.personId);
              return (
                <MemberRow
                  key={member.personId}
                  member={member}
                  index={index}
                  person={person}
                  isMeant={isMeant(person)}
                  ringsOn={ringsOn}
                  hasTier={hasTiers}
                  onMove={(by) => move(index, index + by)}
                  onTier={(tier) => onChange(members.map((each) => (each === member ? { ...each, tier } : each)))}
                  onRemove={() => onChange(members.filter((each) => each !== member))}
                />
              );
            })}
          </Box>
        </SortableContext>
      </DndContext>
      {members.length === 0 && <Text py="1">Nobody is in it yet: callers go on at once.</Text>}
      {members.length < membershipLimits.members && (
        <AddMember
          of={of}
          typed={typed}
          onType={setTyped}
          people={people.filter(({ id }) => !members.some(({ personId }) => personId === id))}
          onAdd={({ id }) => onChange([...members, { personId: id, tier: members.at(-1)?.tier ?? 1 }])}
        />
      )}
    </Box>
  );
}

interface RowProps {
  readonly member: Member;
  readonly index: number;
  readonly person: Person | undefined;
  /** It is what is looked for below. */
  readonly isMeant: boolean;
  readonly ringsOn: RingsOn;
  readonly hasTier: boolean;
  readonly onMove: (by: number) => void;
  readonly onTier: (tier: number) => void;
  readonly onRemove: () => void;
}

function MemberRow({ member, index, person, isMeant, ringsOn, hasTier, onMove, onTier, onRemove }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useSortable({ id: member.personId });
  const name = person?.name ?? 'Somebody deleted';
  const onKey = (event: KeyboardEvent): void => {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    onMove(event.key === 'ArrowUp' ? -1 : 1);
  };
  return (
    <Flex
      as="li"
      ref={setNodeRef}
      align="center"
      gap="2"
      minH="32px"
      borderBottomWidth="1px"
      borderColor="hairline"
      bg={isMeant ? 'petrol.subtle' : undefined}
      style={{ transform: CSS.Translate.toString(transform), opacity: isDragging ? 0.5 : undefined }}
      onKeyDown={onKey}
    >
      <Box
        asChild
        color="quiet"
        cursor="grab"
        minW="24px"
        minH="24px"
        display="inline-flex"
        alignItems="center"
        justifyContent="center"
      >
        <button
          type="button"
          title="Drag, or Alt and the arrow keys"
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}: drag, or Alt and the arrow keys`}
        >
          <GripVertical size={14} />
        </button>
      </Box>
      <Text as="span" fontFamily="mono" fontSize="12.5px" color="quiet" w="20px">
        {index + 1}
      </Text>
      <Text as="span" flex="1">
        {name}
      </Text>
      <Text as="span" fontSize="13px" color="quiet" fontFamily="mono">
        {person ? phoneWords(person, ringsOn) : ''}
      </Text>
      {hasTier && (
        <Text as="span" fontSize="13px">
          tier{' '}
          <InlineNumber label={`Tier of ${name}`} value={member.tier} {...membershipLimits.tier} onChange={onTier} />
        </Text>
      )}
      <SmallButton label={`Take ${name} out`} icon={<X size={13} />} onClick={onRemove} />
    </Flex>
  );
}

/** On which phone a member is rung. */
function phoneWords(person: Person, ringsOn: RingsOn): string {
  const phone = memberPhone(person, ringsOn);
  if (!phone) return 'only when on call';
  return phone.type === 'outside' ? showPhoneNumber(phone.number) : person.extension;
}

interface AddProps {
  readonly of: string;
  readonly typed: string;
  readonly onType: (typed: string) => void;
  /** Who is not in it yet. */
  readonly people: readonly Person[];
  readonly onAdd: (person: Person) => void;
}

const mostFound = 6;

function AddMember({ of, typed, onType, people, onAdd }: AddProps) {
  const found = typed.trim() === '' ? [] : people.filter(({ name, extension }) => fits(typed, name, extension));
  const add = (person: Person | undefined): void => {
    if (!person) return;
    onAdd(person);
    onType('');
  };
  return (
    <Flex mt="2" gap="1.5" align="center" wrap="wrap">
      <Input
        size="sm"
        w="200px"
        bg="sheet"
        aria-label={`Add somebody to ${of}`}
        placeholder="Find or add: name, extension"
        value={typed}
        maxLength={80}
        onChange={(event) => onType(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          add(found[0]);
        }}
      />
      {found.slice(0, mostFound).map((person, index) => (
        <Box
          key={person.id}
          asChild
          px="2"
          py="0.5"
          minH="26px"
          borderRadius="md"
          borderWidth="1px"
          borderColor={index === 0 ? 'petrol.solid' : 'hairline'}
          bg="sheet"
          fontSize="13px"
        >
          <button type="button" onClick={() => add(person)}>
            {person.name}
          </button>
        </Box>
      ))}
      {typed.trim() !== '' && found.length === 0 && (
        <Text fontSize="13px" role="status">
          Nobody else matches; who is in it already is marked.
        </Text>
      )}
    </Flex>
  );
}
