import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';

interface Props {
  /** The list of the API that is added to. */
  readonly list: string;
  readonly label: string;
  readonly isReady: boolean;
  readonly body: () => object;
  /** Told the new row's id. */
  readonly onAdded: (id: string) => void;
  readonly children: ReactNode;
}

/** Fields for a new row and a button; a refusal is said under them, and what was typed stays. */
export function AddRow({ list, label, isReady, body, onAdded, children }: Props) {
  const { mutate } = useSWRConfig();
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (): Promise<void> => {
    try {
      const { id } = await api<{ readonly id: string }>(list, { method: 'POST', body: body() });
      setProblem(null);
      await mutate(list);
      onAdded(id);
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  return (
    <Box asChild mt="3">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <Flex gap="2" align="center" wrap="wrap">
          {children}
          <Button size="sm" type="submit" variant="outline" bg="sheet" disabled={!isReady}>
            <Plus size={14} aria-hidden /> {label}
          </Button>
        </Flex>
        {problem && (
          <Text role="alert" mt="1" fontWeight="500">
            {problem}
          </Text>
        )}
      </form>
    </Box>
  );
}
