import { Box, Flex, IconButton, Text } from '@chakra-ui/react';
import { usesOf, type NamedPath } from '@locutor/core/line';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useDraft } from '../../draft/DraftProvider';
import { tellDone } from '../../parts/notices';
import { PathSentence } from '../../path/PathSentence';
import { usesInWords } from '../directory/usesInWords';
import { RemoveDialog } from './RemoveDialog';
import { Noted, WithNotes } from './MarginNotes';
import { NameField } from './SheetName';

/** A path with a name of its own: written once here, followed from many places. */
export function NamedPathSheet({ path }: { readonly path: NamedPath }) {
  const { attendant, edit, names, store } = useDraft();
  const navigate = useNavigate();
  const [isRemoving, setRemoving] = useState(false);
  const uses = usesOf(attendant, path.id);
  const removal = { type: 'removeNamedPath', pathId: path.id } as const;
  const remove = (): void => {
    if (uses.length > 0) return setRemoving(true);
    edit(removal);
    tellDone(`${path.name} was removed.`, store.undo);
    void navigate('/script');
  };
  return (
    <WithNotes>
      <Box px="6" pb="10" maxW="1020px">
        <Flex align="center" gap="2" wrap="wrap">
          <NameField
            label="Name of the path"
            name={path.name}
            taken={attendant.paths.filter(({ id }) => id !== path.id).map(({ name }) => name)}
            onRename={(name) => edit({ type: 'renameNamedPath', pathId: path.id, name })}
          />
          <Text color="quiet" fontSize="13px" mr="auto">
            Path, to be followed from anywhere
          </Text>
          <IconButton size="sm" variant="ghost" aria-label={`Remove ${path.name}`} title="Remove" onClick={remove}>
            <Trash2 size={15} />
          </IconButton>
        </Flex>
        <Noted at={{ type: 'named', pathId: path.id }}>
          <Box mt="4">
            <PathSentence slot={{ type: 'named', pathId: path.id }} path={path.steps} of={path.name} />
          </Box>
        </Noted>
        <Text mt="6" fontSize="13px" color="quiet">
          {uses.length > 0
            ? `Followed in ${usesInWords(uses, attendant, names)}.`
            : 'Followed nowhere yet. In any step choose “follow the path” to use it.'}
        </Text>
        {isRemoving && (
          <RemoveDialog
            id={path.id}
            name={path.name}
            others={attendant.paths.filter((each) => each !== path)}
            removal={removal}
            onClose={() => setRemoving(false)}
            onRemoved={() => void navigate('/script')}
          />
        )}
      </Box>
    </WithNotes>
  );
}
