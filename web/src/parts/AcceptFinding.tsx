import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { useState, type FormEvent } from 'react';
import { useAccept } from '../draft/useAccept';
import { tellDone } from './notices';
import { whoIsIt } from './who';
import { WhoField } from './WhoField';

interface Props {
  /** The key of what the yes is to. */
  readonly accepts: string;
  readonly grade: 'caution' | 'tip';
}

/** A yes to a caution, with its reason; a tip is silenced by one press. */
export function AcceptFinding({ accepts, grade }: Props) {
  const { accept, withdraw } = useAccept();
  const [isOpen, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [by, setBy] = useState(whoIsIt);
  const done = async (said: string, why: string): Promise<void> => {
    if (await accept(accepts, why, by)) tellDone(said, () => void withdraw(accepts));
  };
  if (grade === 'tip') {
    return (
      <Button size="2xs" variant="ghost" onClick={() => void done('The tip is silenced.', '')}>
        Silence it
      </Button>
    );
  }
  if (!isOpen) {
    return (
      <Button size="2xs" variant="ghost" onClick={() => setOpen(true)}>
        It is meant so …
      </Button>
    );
  }
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (reason.trim() !== '') void done('Your yes is remembered with its reason.', reason.trim());
  };
  return (
    <Box asChild mt="1.5">
      <form onSubmit={submit} aria-label="Say yes to this caution">
        <Flex gap="2" wrap="wrap" align="center">
          <Input
            size="sm"
            flex="1 1 200px"
            bg="paper"
            aria-label="Why it is meant so"
            placeholder="Why it is meant so"
            maxLength={300}
            value={reason}
            autoFocus
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          <WhoField value={by} onChange={setBy} />
          <Button type="submit" size="sm" colorPalette="petrol" disabled={reason.trim() === ''}>
            Yes, keep it
          </Button>
          <Button size="sm" variant="ghost" onClick={() => setOpen(false)}>
            Cancel
          </Button>
        </Flex>
      </form>
    </Box>
  );
}

/** What somebody said yes to, why, and a way to take it back. */
export function AcceptedWords({
  accepted,
}: {
  readonly accepted: { readonly key: string; readonly reason: string; readonly by: string };
}) {
  const { withdraw } = useAccept();
  return (
    <Text as="span" color="quiet" fontSize="13px">
      {accepted.reason ? `${accepted.by}: “${accepted.reason}”` : `Silenced by ${accepted.by}`}
      <Button size="2xs" variant="ghost" ml="1" onClick={() => void withdraw(accepted.key)}>
        Take it back
      </Button>
    </Text>
  );
}
