import { Box } from '@chakra-ui/react';
import { longestWeekName } from '@locutor/core/hours';
import { useState } from 'react';
import { InlineWords } from '../../parts/InlineWords';

interface Props {
  readonly label: string;
  readonly name: string;
  readonly onRename: (name: string) => void;
}

/** The name of a season or of a week from a date on, kept when the field is left. */
export function WeekName({ label, name, onRename }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (): void => {
    if (typed?.trim() && typed.trim() !== name) onRename(typed.trim());
    setTyped(null);
  };
  return (
    <Box as="span" onBlur={keep}>
      <InlineWords
        label={label}
        value={typed ?? name}
        most={longestWeekName}
        fontSize="15px"
        minW="90px"
        onChange={setTyped}
      />
    </Box>
  );
}
