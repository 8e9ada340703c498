import { useCountry } from '../../parts/useCountry';
import { Box, Flex, IconButton, Text, Textarea } from '@chakra-ui/react';
import {
  exampleNumber,
  callerListKinds,
  longestName,
  readCallerPattern,
  showPhoneNumber,
  type CallerListKind,
} from '@locutor/core/directory';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCallerLists, type KeptCallerList } from '../../api/resources';
import { InlineSelect } from '../../parts/InlineSelect';
import { SavingNote } from '../../saving/SavingNote';
import { useRowDraft } from '../../saving/useRowDraft';
import { useRemoveRow } from '../../parts/useRemoveRow';
import { AddRow } from './AddRow';
import { CellField } from './CellField';
import { NewField } from './NewField';
import { useUses } from './useUses';

const list = '/api/caller-lists';

const kindWords: Readonly<Record<CallerListKind, string>> = {
  blocked: 'are let go at once',
  favoured: 'are answered before the hours',
  other: 'are answered in their turn',
};

/** Callers who are treated in a way of their own, by their numbers. */
export function CallerLists() {
  const lists = useCallerLists();
  return (
    <>
      <Box as="ul" listStyleType="none">
        {lists.map((each) => (
          <ListRow key={each.id} kept={each} />
        ))}
      </Box>
      {lists.length === 0 && (
        <Text py="3">
          No lists yet. A list lets some callers go, or answers them in a way of their own: suppliers, members, a
          neighbour who calls every day.
        </Text>
      )}
      <AddList />
    </>
  );
}

function ListRow({ kept }: { readonly kept: KeptCallerList }) {
  const { row, change, ...saving } = useRowDraft(list, kept);
  const remove = useRemoveRow(list);
  const uses = useUses().usesOf(kept.id);
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="hairline" py="3" aria-label={kept.name}>
      <Flex align="center" gap="2" wrap="wrap">
        <Box w="220px">
          <CellField
            label={`Name of the list ${kept.name}`}
            value={row.name}
            most={longestName}
            onChange={(name) => change({ name })}
          />
        </Box>
        <Text flex="1">
          Callers in it{' '}
          <InlineSelect
            label={`What happens to callers in ${kept.name}`}
            value={row.kind}
            choices={callerListKinds.map((kind) => ({ value: kind, label: kindWords[kind] }))}
            onChange={(kind) => change({ kind: kind as CallerListKind })}
          />
          .
        </Text>
        <IconButton
          size="xs"
          variant="ghost"
          aria-label={`Delete the list ${kept.name}`}
          title={`Delete ${kept.name}`}
          onClick={() => void remove(kept)}
        >
          <Trash2 size={14} />
        </IconButton>
      </Flex>
      <Patterns name={kept.name} patterns={row.patterns} onChange={(patterns) => change({ patterns })} />
      <Text fontSize="13px" mt="1">
        Callers who hide their number{' '}
        <InlineSelect
          label={`Hidden numbers in ${kept.name}`}
          value={row.anonymous ? 'yes' : 'no'}
          choices={[
            { value: 'no', label: 'are not in it' },
            { value: 'yes', label: 'are in it' },
          ]}
          onChange={(value) => change({ anonymous: value === 'yes' })}
        />
        .{' '}
        {row.kind !== 'blocked' && (
          <Text as="span" color="quiet">
            {uses.length > 0 ? `Used: ${uses.join('; ')}. ` : 'No answer of their own yet. '}
            <Text asChild textDecoration="underline">
              <Link to="/hours">{uses.length > 0 ? 'See the answering order' : 'Give them one on Hours'}</Link>
            </Text>
          </Text>
        )}
      </Text>
      <SavingNote {...saving} isBrief />
    </Box>
  );
}

interface PatternsProps {
  readonly name: string;
  readonly patterns: readonly string[];
  readonly onChange: (patterns: readonly string[]) => void;
}

/** One number a line; what is no number is named and kept to the field until it is one. */
function Patterns({ name, patterns, onChange }: PatternsProps) {
  const country = useCountry();
  const [typed, setTyped] = useState<string | null>(null);
  const shown = patterns.map((each) => (each.endsWith('*') ? each : showPhoneNumber(each))).join('\n');
  const text = typed ?? shown;
  const lines = text.split(/[\n,;]/).filter((each) => each.trim() !== '');
  const wrong = lines.filter((each) => !readCallerPattern(each, country).ok);
  const take = (next: string): void => {
    setTyped(next);
    const read = next.split(/[\n,;]/).flatMap((each) => {
      const pattern = readCallerPattern(each, country);
      return pattern.ok ? [pattern.value] : [];
    });
    onChange([...new Set(read)]);
  };
  return (
    <Box mt="1.5" maxW="420px">
      <Textarea
        aria-label={`Numbers in ${name}, one a line`}
        value={text}
        rows={2}
        maxH="220px"
        css={{ fieldSizing: 'content' }}
        resize="none"
        fontFamily="mono"
        fontSize="13px"
        bg="sheet"
        placeholder={`${exampleNumber(country)}\n${exampleNumber(country).slice(0, -3)}*`}
        onChange={(event) => take(event.currentTarget.value)}
        onBlur={() => wrong.length === 0 && setTyped(null)}
      />
      <Text fontSize="12.5px" color="quiet">
        One number a line; a star stands for any further digits.
      </Text>
      {wrong.length > 0 && (
        <Text role="alert" fontSize="13px">
          Not a number, and not taken: {wrong.map((each) => `“${each.trim()}”`).join(', ')}
        </Text>
      )}
    </Box>
  );
}

function AddList() {
  const [name, setName] = useState('');
  return (
    <AddRow
      list={list}
      label="Add list"
      isReady={name.trim() !== ''}
      body={() => ({ name, kind: 'favoured' })}
      onAdded={() => setName('')}
    >
      <NewField label="Name of a new list" placeholder="Suppliers" value={name} most={longestName} onChange={setName} />
    </AddRow>
  );
}
