import { chakra } from '@chakra-ui/react';

export interface Choice {
  readonly value: string;
  readonly label: string;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly Choice[];
  readonly onChange: (value: string) => void;
}

const Select = chakra('select', {
  base: {
    fieldSizing: 'content',
    maxWidth: '260px',
    appearance: 'none',
    bg: 'transparent',
    color: 'petrol.fg',
    fontWeight: 500,
    borderBottom: '1px dashed',
    borderColor: 'petrol.emphasized',
    borderRadius: '2px',
    px: '1px',
    minHeight: '24px',
    cursor: 'pointer',
    _hover: { bg: 'petrol.subtle' },
    '& option': { bg: 'sheet', color: 'ink' },
  },
});

/** A part of a sentence that is picked in place. */
export function InlineSelect({ label, value, choices, onChange }: Props) {
  const isKnown = choices.some((choice) => choice.value === value);
  return (
    <Select aria-label={label} value={value} onChange={(event) => onChange(event.currentTarget.value)}>
      {!isKnown && <option value={value}>{value === '' ? '…' : 'something deleted'}</option>}
      {choices.map((choice) => (
        <option key={choice.value} value={choice.value}>
          {choice.label}
        </option>
      ))}
    </Select>
  );
}
