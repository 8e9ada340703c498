import { Button, SimpleGrid } from '@chakra-ui/react';
import { keys, spokenKey, type Key } from '@locutor/core/line';

/** The twelve keys of the caller's phone. */
export function Keypad({ onPress, isOff }: { readonly onPress: (key: Key) => void; readonly isOff: boolean }) {
  return (
    <SimpleGrid columns={3} gap="1.5" role="group" aria-label="Keypad">
      {keys.map((key) => (
        <Button
          key={key}
          variant="outline"
          h="9"
          fontFamily="mono"
          fontSize="16px"
          bg="sheet"
          aria-label={`Press ${spokenKey(key)}`}
          disabled={isOff}
          onClick={() => onPress(key)}
        >
          {key}
        </Button>
      ))}
    </SimpleGrid>
  );
}
