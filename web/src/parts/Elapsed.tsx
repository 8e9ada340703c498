import { Text } from '@chakra-ui/react';
import { useState } from 'react';
import { showLength } from './time';
import { useNow } from './useNow';

const shownEveryMs = 200;

/** How long something has lasted since this was first shown, as `0:07`: for whoever is being recorded. */
export function Elapsed({ label }: { readonly label: string }) {
  const [sinceMs] = useState(() => Date.now());
  const now = useNow(shownEveryMs);
  return (
    <Text as="span" role="timer" aria-label={label} fontFamily="mono">
      {showLength(Math.floor((now - sinceMs) / 1000) * 1000)}
    </Text>
  );
}
