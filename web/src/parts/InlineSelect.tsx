import { chakra } from '@chakra-ui/react';
import { isUnchosen } from '@locutor/core/line';
import { useRef, useState, type KeyboardEvent } from 'react';

export interface Choice {
  readonly value: string;
  readonly label: string;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly Choice[];
  readonly onChange: (value: string) => void;
  /** What stands where nothing is chosen yet, such as "whom?". */
  readonly toChoose?: string;
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
    '&[data-passing]': { borderStyle: 'solid', bg: 'petrol.subtle' },
    '& option': { bg: 'sheet', color: 'ink' },
  },
});

/**
 * A part of a sentence that is picked in place. Going through the closed list with the keyboard changes nothing yet: what
 * it stands at takes effect with Enter or when it is left, and Escape goes back. What is picked from the open list takes
 * effect at once.
 */
export function InlineSelect({ label, value, choices, onChange, toChoose = 'choose …' }: Props) {
  const [passing, setPassing] = useState<string | null>(null);
  const isByKey = useRef(false);
  const isKnown = choices.some((choice) => choice.value === value);
  const settle = (): void => {
    setPassing(null);
    if (passing !== null && passing !== value) onChange(passing);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    isByKey.current = !opensList(event);
    if (passing === null || (event.key !== 'Enter' && event.key !== 'Escape')) return;
    event.preventDefault();
    event.stopPropagation();
    if (event.key === 'Enter') settle();
    else setPassing(null);
  };
  const onChosen = (chosen: string): void => {
    if (isByKey.current) return setPassing(chosen);
    setPassing(null);
    onChange(chosen);
  };
  return (
    <Select
      aria-label={label}
      value={passing ?? value}
      data-passing={passing === null ? undefined : ''}
      title={passing === null ? undefined : 'Enter takes it, Escape goes back'}
      onKeyDown={onKeyDown}
      onPointerDown={() => (isByKey.current = false)}
      onChange={(event) => onChosen(event.currentTarget.value)}
      onBlur={() => {
        settle();
        isByKey.current = false;
      }}
    >
      {!isKnown && <option value={value}>{isToChoose(value) ? toChoose : 'something deleted'}</option>}
      {choices.map((choice) => (
        <option key={choice.value} value={choice.value}>
          {choice.label}
        </option>
      ))}
    </Select>
  );
}

function isToChoose(value: string): boolean {
  return value === '' || isUnchosen(value);
}

/** What is picked from the open list is meant. */
function opensList({ key, altKey }: KeyboardEvent): boolean {
  return key === ' ' || key === 'F4' || (altKey && (key === 'ArrowDown' || key === 'ArrowUp'));
}
